import { readLiveSamples } from '../db/live-samples';
import type { StoredSample } from '../db/stored-sample';
import { balanceReadings, balanceRuns, liveEvents, type LiveRun } from '../records';
import { inTransaction } from '../db/transaction';
import { noteCause } from '../records/causes';
import { storeLiveCapacity } from './store-capacity';
import { beganNotFull } from './start-charge';

/** A balance is logged this often by the instrument's clock, s; its judgement needs no more. */
const BALANCE_LOG_S = 300;
const lastLogged = new Map<number, number>();

/** Enters what a live balance reads into the log of the balance itself, so that its progress is judged as ever. */
export async function noteBalanceReadings(run: LiveRun, samples: readonly StoredSample[]): Promise<void> {
	if (run.balanceRunId === null || samples.length === 0) return;
	const due = samples.filter((s) => {
		const last = lastLogged.get(run.id) ?? 0;
		const isDue = s.atMs - last >= BALANCE_LOG_S * 1000;
		if (isDue) lastLogged.set(run.id, s.atMs);
		return isDue;
	});
	const final = run.state === 'ended' || run.progress.done ? samples.slice(-1) : [];
	const balanceRunId = run.balanceRunId;
	const rows = [...new Set([...due, ...final])].map((s) => ({
		balanceRunId,
		readAt: new Date(s.atMs).toISOString(),
		supplyV: s.voltageV,
		supplyA: Math.max(0, s.currentA),
		cellV: s.cellV,
		deliveredAh: null
	}));
	if (rows.length === 0) return;
	await inTransaction(async (tx) => {
		await balanceReadings.insertMany(rows, tx);
		await noteCause([run.bankId], { kind: 'balance-readings', recordId: null, deed: 'create' }, tx);
	});
}

/** What follows from a run that ends: a capacity becomes a result of its cell, a balance is closed. @returns the result's id */
export async function finishLiveRun(run: LiveRun): Promise<number | null> {
	if (run.kind === 'capacity') return finishCapacity(run);
	if (run.kind === 'balance' && run.balanceRunId !== null && run.progress.done) {
		const balance = await balanceRuns.get(run.balanceRunId);
		const endedAt = new Date(run.progress.last!.atMs).toISOString();
		if (!balance.endedAt)
			await inTransaction(async (tx) => {
				await balanceRuns.update(balance.id, balance.version, { endedAt }, tx);
				await noteCause([run.bankId], { kind: 'balance-runs', recordId: balance.id, deed: 'change' }, tx);
			});
	}
	return null;
}

function withoutCapacity(run: LiveRun, moved: boolean): string {
	if (!run.progress.done)
		return 'The discharge did not reach its cut-off: no capacity was entered. The samples are kept.';
	if (!moved) return 'The discharge ended before anything had moved: no capacity was entered. Charge the cell first.';
	return 'The cell was not full when its discharge began: what came out is not its capacity, and none was entered. The samples are kept.';
}

/** Only a discharge from full that reached its cut-off is a capacity; anything less is kept as samples and says so. */
async function finishCapacity(run: LiveRun): Promise<number | null> {
	const phase = run.phases.findIndex((p) => p.kind === 'discharge');
	const moved = phase >= 0 && Math.abs(run.progress.sums[phase]?.ah ?? 0) > 0;
	const notFull = await beganNotFull(run);
	if (run.progress.done && run.cellId !== null && moved && !notFull)
		return (await storeLiveCapacity(run, await readLiveSamples(run.id, { phase }))).id;
	await liveEvents.insert({
		liveRunId: run.id,
		happenedAt: new Date(run.progress.last?.atMs ?? Date.now()).toISOString(),
		kind: 'no-capacity',
		message: withoutCapacity(run, moved),
		needsPerson: false
	});
	return null;
}
