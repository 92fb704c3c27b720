import { CHEMISTRY_FIGURES, mostOfOneCellV } from '$lib/core/foundation/chemistry';
import type { LiveConfirmInput } from '$lib/input/live';
import { InputError } from '$lib/input/validate';
import { balanceRuns, banks, instruments, liveRuns, type LiveInstrument, type LiveRun } from '../records';
import { inTransaction } from '../db/transaction';
import { ServiceError } from '../errors';
import { settleLiveEvents } from '../records/live-events/settle';
import { noteCause } from '../records/causes';
import { refuseUnsafeStart } from '../stages/balance/may-start';
import { refuseWhileLinked } from '../stages/balance/linked';
import { asServiceError, instrumentKeys } from '../address-book/instruments';
import { clipForRun, nowOf } from '../rehearsals/bench/bench';
import {
	WATCHDOG_FACTOR,
	allOff,
	retryOff,
	driveOutput,
	openLinks,
	stopRetrying,
	type LiveLinks
} from './live-outputs';
import { valuesToConfirm } from './live-plan';
import { startRunner } from './live-runner';
import { noteStartCharge, type RestReading } from './start-charge';
import { liveView, type LiveView } from './live-view';

/** Within this of nought is a meter's zero, and not a cell, whichever way round; V. */
const CROSSED_V = 0.1;
/** A cell just driven to its limit may still rest a little below it, V. */
const DEEP_V = 0.1;

/**
 * Switches on and follows a planned run, or one that waits for a person.
 * @throws InputError when `confirmed` is not word for word what {@link valuesToConfirm} says; ServiceError when an instrument does not obey
 */
export async function beginLiveRun(id: number, input: LiveConfirmInput): Promise<LiveView> {
	const run = await liveRuns.get(id);
	if (run.state !== 'planned' && run.state !== 'waiting')
		throw new ServiceError(409, 'not-waiting', `This run is ${run.state}: there is nothing to switch on.`);
	if (run.balanceRunId !== null) {
		await refuseWhileLinked(run.bankId);
		await refuseUnsafeRow(run);
	}
	const values = await valuesToConfirm(run);
	if (values.join('\n') !== input.confirmed.join('\n'))
		throw new InputError([{ path: 'confirmed', message: `requires the values as they are: ${values.join(' · ')}` }]);
	const links = await openLinks(run);
	let claimed = await claim(run);
	stopRetrying(links);
	try {
		await clipForRun(run);
		// What such a cell holds nobody knows, nor when the run will end.
		if (await noteStartCharge(run, await refuseWrongCell(run, links)))
			claimed = await liveRuns.update(claimed.id, claimed.version, { expectedAh: null });
		await driveOutput(links, run.phases[run.progress.phase]!, run.deadManS * WATCHDOG_FACTOR);
	} catch (error) {
		retryOff(links, await allOff(links), () => undefined);
		await giveBack(run, claimed);
		throw asServiceError(error);
	}
	if (run.balanceRunId !== null) await startBalance(run);
	// Whoever switches on again has looked at what it waited for.
	if (run.state === 'waiting') await inTransaction((tx) => settleLiveEvents(run.id, tx));
	await startRunner(claimed, run.state === 'waiting');
	return liveView(claimed);
}

const drives = ({ role }: LiveInstrument) => role === 'supply' || role === 'load';

/** What is known of the outputs a run drives. */
async function keysOf(run: LiveRun): Promise<{ name: string; keys: string[] }[]> {
	return Promise.all(
		run.instruments.filter(drives).map(async ({ id, name }) => {
			const row = await instruments.find(id);
			return { name, keys: row ? await instrumentKeys(row) : [] };
		})
	);
}

/**
 * Claimed before anything is touched: of two tabs, or two runs that drive one output under whatever name, only one switches on.
 * One claim after the other, here and in every other process on this database.
 */
async function claim(run: LiveRun): Promise<LiveRun> {
	const own = await keysOf(run);
	return inTransaction(async (tx) => {
		await tx('locks').where({ name: 'live-claim' }).forUpdate().first();
		const others = (await liveRuns.all({ state: 'running' }, tx)).filter((r) => r.id !== run.id);
		const ids = new Set(others.flatMap((r) => r.instruments.filter(drives).map((i) => i.id)));
		const known = new Set((await Promise.all(others.map(keysOf))).flat().flatMap((o) => o.keys));
		const taken =
			own.find((o) => o.keys.some((key) => known.has(key))) ??
			run.instruments.filter(drives).find((i) => ids.has(i.id));
		if (taken) throw new ServiceError(409, 'in-use', `${taken.name} is driving another run. Stop that one first.`);
		const startedAt = run.startedAt ?? new Date().toISOString();
		return liveRuns.update(run.id, run.version, { state: 'running', startedAt }, tx);
	});
}

const giveBack = (run: LiveRun, claimed: LiveRun) =>
	liveRuns.update(claimed.id, claimed.version, { state: run.state, startedAt: run.startedAt });

/** A row that is taken up again was looked at when it began. @throws InputError naming what is missing before its supply goes on */
async function refuseUnsafeRow({ bankId, balanceRunId }: LiveRun): Promise<void> {
	if ((await balanceRuns.get(balanceRunId!)).startedAt) return;
	await refuseUnsafeStart(bankId, balanceRunId, null, (await nowOf(await banks.get(bankId))).toISOString());
}

/** A balance that is followed live begins when its supply goes on. */
async function startBalance(run: LiveRun): Promise<void> {
	const balance = await balanceRuns.get(run.balanceRunId!);
	if (balance.startedAt) return;
	const startedAt = (await nowOf(await banks.get(run.bankId))).toISOString();
	await inTransaction(async (tx) => {
		await balanceRuns.update(balance.id, balance.version, { startedAt }, tx);
		await noteCause([run.bankId], { kind: 'balance-runs', recordId: balance.id, deed: 'change' }, tx);
	});
}

/**
 * Reads every instrument of a run once with its outputs off: what is clipped to them must be one cell or row, the right way
 * round, and fit to be charged. @returns what the cell rests at, by each that touches it
 * @throws ServiceError 409 `crossed`, `nothing-clipped`, `deep-discharged` or `not-one-cell`; InstrumentError when a line is dead
 */
async function refuseWrongCell(run: LiveRun, links: LiveLinks): Promise<RestReading[]> {
	const atRest: RestReading[] = [];
	const { chemistry } = await banks.get(run.bankId);
	const { dischargeLimitV } = CHEMISTRY_FIGURES[chemistry];
	const charges = run.phases[run.progress.phase]!.kind === 'charge';
	for (const [role, { link, calibration }] of Object.entries(links)) {
		// Probes in the air are no reason not to begin; a line that is dead is.
		const reading = await link.useNow((driver) => driver.read()).catch(nothingWhenRefused);
		const volts = reading?.voltageV;
		if (run.kind === 'watch' || volts === null || volts === undefined) continue;
		if (volts < -CROSSED_V)
			throw new ServiceError(
				409,
				'crossed',
				`${calibration.name} reads ${volts.toFixed(3)} V: plus and minus are exchanged. Go by the meter and not by the print, mark the cell, turn the clips and try again.`
			);
		// A supply shows its own output, which is off.
		if (role === 'supply') continue;
		if (volts < CROSSED_V)
			throw new ServiceError(
				409,
				'nothing-clipped',
				`${calibration.name} reads ${volts.toFixed(2)} V: it touches nothing. Clip it on, then try again.`
			);
		if (charges && volts < dischargeLimitV - DEEP_V)
			throw new ServiceError(
				409,
				'deep-discharged',
				`${calibration.name} reads ${volts.toFixed(2)} V, under the discharge limit of ${dischargeLimitV.toFixed(2)} V: copper may have dissolved, and a charge at this current can make it dangerous. Set the cell apart and ask its maker.`
			);
		if (volts > mostOfOneCellV(chemistry))
			throw new ServiceError(
				409,
				'not-one-cell',
				`${calibration.name} reads ${volts.toFixed(2)} V: that is more than one ${chemistry} cell or row can have. Look at what is clipped to it.`
			);
		atRest.push({ instrumentId: calibration.id, restVoltageV: volts - calibration.voltageOffsetV });
	}
	return atRest;
}

function nothingWhenRefused(error: { fault?: string }): null {
	if (error.fault !== 'refused') throw error;
	return null;
}
