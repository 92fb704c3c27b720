import { CHEMISTRY_FIGURES } from '$lib/core/chemistry';
import { checkLivePlan, startLive, type LivePhase } from '$lib/core/live-run';
import type { LiveConfirmInput, LiveRunInput } from '$lib/input/live';
import { InputError } from '$lib/input/validate';
import {
	balanceRuns,
	banks,
	cells,
	instruments,
	liveEvents,
	liveRuns,
	type Instrument,
	type LiveInstrument,
	type LiveRole,
	type LiveRun
} from '../../db/tables';
import { readLiveSamples, type StoredSample } from '../../db/live-samples';
import { ServiceError } from '../../errors';
import { thinCurve } from '$lib/core/capacity-run';
import { bankWithType } from '../delivery-service';
import { asServiceError } from '../instrument-service';
import { clipForRun, nowOf, rehearsalClock, takeUpRehearsal } from '../rehearsal-bench';
import { currentPlacements } from '../match-service';
import { driveOutput, allOff, openLinks } from './live-outputs';
import { runnerOf, startRunner } from './live-runner';
import { liveView, type LiveView } from './live-view';

const DEFAULT_DEAD_MAN_S = 20;
/** Samples wanted about this often by the instruments' own clock, and by ours at most so often, ms. */
const WANTED_EVERY_MS = 10_000;
const INTERVAL_MS = { least: 20, usual: 1000 };

/** The phases with every value they need. @throws InputError by path */
function completePhases(given: LiveRunInput['phases']): LivePhase[] {
	return given.map((phase, k): LivePhase => {
		const need = (name: 'voltageV' | 'currentA' | 'tailA' | 'durationS' | 'cutoffV'): number => {
			const value = phase[name];
			if (value === undefined || value === null)
				throw new InputError([{ path: `phases.${k}.${name}`, message: `${name} is required for a ${phase.kind}` }]);
			return value;
		};
		if (phase.kind === 'charge')
			return {
				kind: 'charge',
				voltageV: need('voltageV'),
				currentA: need('currentA'),
				tailA: need('tailA'),
				holdS: phase.holdS ?? 0,
				...(phase.stopAh ? { stopAh: phase.stopAh } : {})
			};
		if (phase.kind === 'rest') return { kind: 'rest', durationS: need('durationS') };
		if (phase.kind === 'discharge') return { kind: 'discharge', currentA: need('currentA'), cutoffV: need('cutoffV') };
		return { kind: 'watch' };
	});
}

/** Roles each kind of run cannot do without, and which kind of instrument fits a role (they bear the same names). */
function neededRoles(phases: readonly LivePhase[]): LiveRole[] {
	const needed = phases.flatMap((p): LiveRole[] =>
		p.kind === 'charge' ? ['supply'] : p.kind === 'discharge' ? ['load'] : []
	);
	return [...new Set(needed)];
}

async function chosenInstruments(
	input: LiveRunInput,
	phases: readonly LivePhase[]
): Promise<{ roles: LiveInstrument[]; rows: Instrument[] }> {
	const roles: LiveInstrument[] = [];
	const rows: Instrument[] = [];
	for (const [role, id] of Object.entries(input.instruments) as [LiveRole, number | null | undefined][]) {
		if (!id) continue;
		const row = await instruments.get(id);
		if (row.kind !== role)
			throw new InputError([{ path: `instruments.${role}`, message: `${row.name} is a ${row.kind}, not a ${role}` }]);
		rows.push(row);
		roles.push({
			role,
			id,
			name: row.name,
			voltageOffsetV: row.voltageOffsetV,
			currentGainPercent: row.currentGainPercent
		});
	}
	const missing = neededRoles(phases).filter((role) => !roles.some((r) => r.role === role));
	if (missing.length)
		throw new InputError(missing.map((role) => ({ path: `instruments.${role}`, message: `a ${role} is required` })));
	if (roles.length === 0) throw new InputError([{ path: 'instruments', message: 'choose an instrument to follow' }]);
	return { roles, rows };
}

/** Prepares a live run. Nothing is switched: {@link beginLiveRun} does that, when its values have been confirmed. */
export async function planLiveRun(input: LiveRunInput): Promise<LiveRun> {
	const { bank, cellType } = await bankWithType(input.bankId);
	const phases = completePhases(input.phases);
	checkKind(input, phases);
	const limitV = cellType?.chargeLimitV ?? CHEMISTRY_FIGURES[bank.chemistry].chargeLimitV;
	checkLivePlan(phases, limitV, 1);
	const { roles, rows } = await chosenInstruments(input, phases);
	if (rows.some((r) => r.bundled) !== bank.rehearsal)
		throw new ServiceError(
			422,
			'mixed',
			bank.rehearsal
				? 'This is a rehearsal bank: its cells are only on the simulated bench.'
				: 'The simulated bench measures no real cell: use it in a rehearsal.'
		);
	if (input.cellId) await cells.get(input.cellId);
	if (input.balanceRunId) await balanceRuns.get(input.balanceRunId);
	const placed = (await currentPlacements(bank.id)).length;
	const ratedAh = cellType?.ratedAh ?? null;
	const factor = bank.rehearsal ? (await rehearsalClock(bank.id)).timeFactor : 1;
	return liveRuns.insert({
		bankId: bank.id,
		cellId: input.cellId ?? null,
		balanceRunId: input.balanceRunId ?? null,
		kind: input.kind,
		state: 'planned',
		instruments: roles,
		phases,
		intervalMs:
			input.intervalMs ??
			Math.max(INTERVAL_MS.least, Math.min(INTERVAL_MS.usual, Math.round(WANTED_EVERY_MS / factor))),
		deadManS: input.deadManS ?? DEFAULT_DEAD_MAN_S,
		expectedAh: ratedAh === null ? null : input.kind === 'balance' ? ratedAh * Math.max(1, placed) : ratedAh,
		temperatureC: input.temperatureC ?? null,
		progress: startLive()
	});
}

function checkKind(input: LiveRunInput, phases: readonly LivePhase[]): void {
	const kinds = phases.map((p) => p.kind);
	const fault =
		input.kind === 'watch'
			? kinds.some((k) => k !== 'watch') && 'A watch has one phase, watch: it sets nothing.'
			: kinds.includes('watch')
				? 'Only a watch has the phase watch.'
				: input.kind === 'capacity'
					? (kinds.filter((k) => k === 'discharge').length !== 1 && 'A capacity run has one discharge.') ||
						(!input.cellId && 'A capacity run is of one cell: send cellId.')
					: kinds.some((k) => k !== 'charge') && 'A balance is one charge.';
	if (fault) throw new InputError([{ path: 'phases', message: fault }]);
}

const where = async (run: LiveRun): Promise<string> =>
	run.cellId ? (await cells.get(run.cellId)).label : run.kind === 'balance' ? 'the row of cells' : 'the battery';

/** The values that will be set, in words: what a person must have seen before anything is switched on. */
export async function valuesToConfirm(run: LiveRun): Promise<string[]> {
	const name = (role: LiveRole) => run.instruments.find((i) => i.role === role)?.name ?? role;
	const place = await where(run);
	const lines = run.phases.map((p) => {
		if (p.kind === 'charge')
			return `${name('supply')} on ${place}: ${p.voltageV.toFixed(2)} V, at most ${p.currentA} A, ${p.stopAh ? `for ${p.stopAh} Ah` : `until ${p.tailA} A`}${p.holdS ? ` for ${Math.round(p.holdS / 60)} min` : ''}`;
		if (p.kind === 'discharge') return `${name('load')} on ${place}: ${p.currentA} A, off at ${p.cutoffV.toFixed(2)} V`;
		if (p.kind === 'rest') return `Rest ${Math.round(p.durationS / 60)} min`;
		return `Watch only: ${run.instruments.map((i) => i.name).join(', ')}; nothing is set`;
	});
	const drives = run.phases.some((p) => p.kind === 'charge' || p.kind === 'discharge');
	return drives ? [...lines, `Output off when no sample comes for ${run.deadManS} s`] : lines;
}

const RUNNING_STATES = ['running', 'waiting'];

async function refuseInstrumentsInUse(run: LiveRun): Promise<void> {
	const own = new Set(run.instruments.map((i) => i.id));
	const others = (await liveRuns.all({ state: 'running' })).filter((r) => r.id !== run.id);
	const taken = others
		.flatMap((r) => r.instruments)
		.find((i) => own.has(i.id) && (i.role === 'supply' || i.role === 'load'));
	if (taken) throw new ServiceError(409, 'in-use', `${taken.name} is driving another run. Stop that one first.`);
}

/**
 * Switches on and follows a planned run, or one that waits for a person.
 * @throws InputError when `confirmed` is not word for word what {@link valuesToConfirm} says; ServiceError when an instrument does not obey
 */
export async function beginLiveRun(id: number, input: LiveConfirmInput): Promise<LiveView> {
	const run = await liveRuns.get(id);
	if (run.state !== 'planned' && run.state !== 'waiting')
		throw new ServiceError(409, 'not-waiting', `This run is ${run.state}: there is nothing to switch on.`);
	const values = await valuesToConfirm(run);
	if (values.join('\n') !== input.confirmed.join('\n'))
		throw new InputError([{ path: 'confirmed', message: `requires the values as they are: ${values.join(' · ')}` }]);
	await refuseInstrumentsInUse(run);
	const links = await openLinks(run);
	try {
		await clipForRun(run);
		for (const { link } of Object.values(links)) await link.useNow((driver) => driver.read()).catch(ignoreRefusal);
		await driveOutput(links, run.phases[run.progress.phase], run.deadManS * 2);
	} catch (error) {
		await allOff(links);
		throw asServiceError(error);
	}
	if (run.balanceRunId !== null) await startBalance(run);
	const again = run.state === 'waiting';
	const begun = await liveRuns.update(run.id, run.version, {
		state: 'running',
		startedAt: run.startedAt ?? new Date().toISOString()
	});
	await startRunner(begun, again);
	return liveView(begun);
}

/** A balance that is followed live begins when its supply goes on. */
async function startBalance(run: LiveRun): Promise<void> {
	const balance = await balanceRuns.get(run.balanceRunId!);
	if (balance.startedAt) return;
	const startedAt = (await nowOf(await banks.get(run.bankId))).toISOString();
	await balanceRuns.update(balance.id, balance.version, { startedAt });
}

/** Probes in the air are no reason not to begin; a line that is dead is. */
function ignoreRefusal(error: { fault?: string }): void {
	if (error.fault !== 'refused') throw error;
}

/** Ends a run: outputs off. What was read is kept. */
export async function stopLiveRun(id: number): Promise<LiveView> {
	const run = await liveRuns.get(id);
	const runner = runnerOf(id);
	if (runner) await runner.stop('Stopped by a person.');
	else if (run.state !== 'ended') {
		const unreached = await allOff(await openLinks(run));
		if (unreached.length)
			throw new ServiceError(
				409,
				'output',
				`The ${unreached.join(' and ')} does not answer: switch it off by hand, then stop here again.`
			);
		await liveRuns.update(id, run.version, {
			state: 'ended',
			endedAt: new Date().toISOString(),
			endedBy: 'Stopped by a person.'
		});
	}
	return liveView(await liveRuns.get(id));
}

/** Goes on with every run that was going when the application ended. */
export async function resumeLiveRuns(): Promise<void> {
	for (const run of await liveRuns.all({ state: 'running' })) {
		if (runnerOf(run.id)) continue;
		// The simulated bench may have been stopped too: it is set up again as it was saved.
		if ((await banks.get(run.bankId)).rehearsal) await takeUpRehearsal(run.bankId).catch(() => undefined);
		await liveEvents.insert({
			liveRunId: run.id,
			happenedAt: new Date(run.progress.last?.atMs ?? Date.now()).toISOString(),
			kind: 'restart',
			message: 'The application was restarted; the run goes on.',
			needsPerson: false
		});
		await startRunner(run, true);
	}
}

/** Runs of a bank that go on or wait for a person. */
export const openLiveRuns = async (bankId: number): Promise<LiveRun[]> =>
	(await liveRuns.all({ bankId })).filter((r) => RUNNING_STATES.includes(r.state));

/** Points drawn of one run, at most about. */
const DRAWN_POINTS = 1500;

export interface LivePageData {
	run: LiveRun;
	view: LiveView;
	values: string[];
	samples: StoredSample[];
	place: string;
}

/** Everything the page of a live run starts from. */
export async function livePage(id: number): Promise<LivePageData> {
	const run = await liveRuns.get(id);
	const samples = await readLiveSamples(id);
	const kept = thinCurve(
		samples.map((s) => s.voltageV ?? 0),
		DRAWN_POINTS / 2
	);
	return {
		run,
		view: await liveView(run),
		values: await valuesToConfirm(run),
		samples: samples.length > DRAWN_POINTS ? kept.map((i) => samples[i]) : samples,
		place: await where(run)
	};
}

/** A live run with its values, without its samples. */
export async function readLiveRun(id: number): Promise<{ run: LiveRun; view: LiveView; values: string[] }> {
	const run = await liveRuns.get(id);
	return { run, view: await liveView(run), values: await valuesToConfirm(run) };
}

/** A page of live runs; `bankId` and `state` filter. */
export function listLiveRuns(query: URLSearchParams) {
	const filter = Object.fromEntries(['bankId', 'state'].filter((f) => query.has(f)).map((f) => [f, query.get(f)!]));
	return liveRuns.list(filter, { page: Math.max(1, Number(query.get('page')) || 1), size: 100 });
}

/** Stored samples later than a moment (ms since 1970; all when missing). */
export async function samplesAfter(id: number, afterMs: string | null): Promise<{ samples: StoredSample[] }> {
	await liveRuns.get(id);
	const after = afterMs === null ? 0 : Number(afterMs);
	if (!Number.isFinite(after)) throw new InputError([{ path: 'afterMs', message: 'requires milliseconds since 1970' }]);
	return { samples: await readLiveSamples(id, after) };
}

/** A person has seen an event. */
export async function markSeen(id: number) {
	const event = await liveEvents.get(id);
	return event.seenAt ? event : liveEvents.update(id, event.version, { seenAt: new Date().toISOString() });
}
