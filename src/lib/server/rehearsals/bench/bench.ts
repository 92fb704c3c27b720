import type { Place, Scenario } from '$lib/core/world/bench';
import { banks, cells, liveRuns, rehearsals, type Bank, type LiveRun, type Rehearsal } from '../../records';
import { ServiceError } from '../../errors';
import type { BenchState } from '../../instruments/hands';
import { latestReadings } from '../../bank-picture/latest-readings';
import { asServiceError, bundledHands } from '../../address-book/instruments';

/** The rehearsal a bank belongs to. @throws ServiceError 404 */
export async function rehearsalOf(bankId: number): Promise<Rehearsal> {
	const [rehearsal] = await rehearsals.all({ bankId });
	if (!rehearsal) throw new ServiceError(404, 'not-found', 'This bank is not a rehearsal.');
	return rehearsal;
}

/** Two worlds are the same when story and seed are. */
const isOnBench = (state: BenchState, scenario: Scenario) =>
	state.name === scenario.name && state.seed === scenario.seed;

/** The bench's state when it holds this rehearsal, null when it holds another or nothing. */
export async function benchStateOf(rehearsal: Rehearsal): Promise<BenchState | null> {
	try {
		const state = await bundledHands().state();
		return isOnBench(state, rehearsal.scenario) ? state : null;
	} catch {
		return null;
	}
}

/** The one bench is not cleared under a run that goes on. @throws ServiceError 409 while another bank's run measures it */
export async function refuseBusyBench(bankId: number | null): Promise<void> {
	for (const run of await liveRuns.all({ state: 'running' })) {
		const bank = await banks.get(run.bankId);
		if (bank.rehearsal && bank.id !== bankId)
			throw new ServiceError(
				409,
				'bench-busy',
				`A live run of “${bank.name}” goes on at the simulated bench. Stop it first.`
			);
	}
}

/** Puts a rehearsal on the bench as it was left; what is on the bench now is saved into its own rehearsal first. */
export async function takeUpRehearsal(bankId: number): Promise<void> {
	const rehearsal = await rehearsalOf(bankId);
	if (await benchStateOf(rehearsal)) return;
	await refuseBusyBench(bankId);
	await saveBenchState();
	const hands = bundledHands();
	try {
		if (rehearsal.saved) await hands.restore(JSON.parse(rehearsal.saved));
		else await hands.load(rehearsal.scenario);
	} catch (error) {
		throw asServiceError(error);
	}
}

/** Saves the bench into the rehearsal it belongs to; nothing when it belongs to none. */
export async function saveBenchState(): Promise<void> {
	try {
		const hands = bundledHands();
		const state = await hands.state();
		const owner = (await rehearsals.all({})).filter((r) => isOnBench(state, r.scenario) && !r.revealedAt).at(-1);
		if (owner) await rehearsals.update(owner.id, owner.version, { saved: JSON.stringify(await hands.save()) });
	} catch {
		// An empty bench has nothing to save.
	}
}

/** The bench's clock and pace for a rehearsal bank; the rehearsal is put on the bench if it is not there. */
export async function rehearsalClock(bankId: number): Promise<BenchState> {
	await takeUpRehearsal(bankId);
	try {
		return await bundledHands().state();
	} catch (error) {
		throw asServiceError(error);
	}
}

/** The clock of the bench a rehearsal is on; null for a real bank, and while the bench holds something else. */
export async function benchClock(
	bank: Pick<Bank, 'id' | 'rehearsal'>
): Promise<{ nowMs: number; factor: number } | null> {
	if (!bank.rehearsal) return null;
	const [rehearsal] = await rehearsals.all({ bankId: bank.id });
	const state = rehearsal && (await benchStateOf(rehearsal));
	return state ? { nowMs: state.clockMs, factor: state.timeFactor } : null;
}

/** The moment by a bank's own clock: the bench's for a rehearsal, ours for a real bank. */
export async function nowOf(bank: Bank): Promise<Date> {
	return new Date((await benchClock(bank))?.nowMs ?? Date.now());
}

/** A cell's number on the bench: the scenario's order is that of its labels. */
export async function benchCell(rehearsal: Rehearsal, cellId: number): Promise<number> {
	const { label } = await cells.get(cellId);
	const index = rehearsal.scenario.cells.findIndex((c) => c.label === label);
	if (index < 0) throw new ServiceError(409, 'not-on-bench', `${label} is not on the simulated bench.`);
	return index;
}

/** Whether a cell's meter reading says that it stands the other way round than it is printed. */
export async function wasReadReversed(cellId: number): Promise<boolean> {
	const reading = (await latestReadings([cellId])).get(cellId)?.restVoltage;
	return (reading?.value ?? 0) < 0;
}

/** In a rehearsal the clips go where the run wants them; at a real bench a person has put them there. */
export async function clipForRun(run: LiveRun): Promise<void> {
	const { rehearsal: isRehearsal } = await banks.get(run.bankId);
	if (!isRehearsal || run.kind === 'watch') return;
	await takeUpRehearsal(run.bankId);
	const rehearsal = await rehearsalOf(run.bankId);
	const hands = bundledHands();
	const place: Place = run.cellId
		? { cell: await benchCell(rehearsal, run.cellId), turned: await wasReadReversed(run.cellId) }
		: 'pack';
	for (const { role } of run.instruments)
		if (role === 'supply' || role === 'load' || role === 'voltmeter') await hands.clip(role, place);
}

/** What the thermometer of a rehearsal's bench shows, °C; null for a real bank. */
export async function roomTemperatureC(bankId: number): Promise<number | null> {
	const [rehearsal] = await rehearsals.all({ bankId });
	return rehearsal ? rehearsal.scenario.ambientC : null;
}
