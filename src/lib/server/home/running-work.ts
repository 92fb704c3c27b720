import { LIVE_NAMES, toEndS } from '$lib/core/foundation/live-run';
import type { RunningWork } from '$lib/core/bank';
import { isCharging, type BalanceState } from '$lib/core/balance/state';
import { loadBankPicture } from '../bank-picture/load';
import { database } from '../db/connection';
import { placeOf } from '../live/live-plan';
import { openLiveRuns } from '../live/live-service';
import { openRuns } from '../live/open-runs';
import type { Bank, LiveRun } from '../records';
import { balanceFacts } from '../stages/balance/face';
import { nowOf } from '../rehearsals/bench/bench';

/** Banks at which something goes on or waits for a person. */
export async function banksAtWork(): Promise<Set<number>> {
	const charging = await database()('balance_runs')
		.whereNotNull('started_at')
		.where({ ended_at: null, deleted_at: null })
		.distinct()
		.pluck('bank_id');
	return new Set([...charging, ...(await openRuns()).map((run) => run.bankId)]);
}

/** What goes on at a bank: what waits for a person, then what will need one soonest, then what nobody can tell of. */
export async function runningWork(bank: Bank): Promise<RunningWork[]> {
	const runs = await openLiveRuns(bank.id);
	const charging = await isChargedByHand(bank.id);
	if (runs.length === 0 && !charging) return [];
	const nowIso = (await nowOf(bank)).toISOString();
	const asksBalance = charging || runs.some((run) => run.kind === 'balance');
	const balance = asksBalance ? await balanceFacts(await loadBankPicture(bank.id)) : null;
	const followed = runs.some((run) => run.kind === 'balance');
	const byHand = balance && !followed ? balanceByHand(bank, balance, nowIso) : null;
	const work = [
		...(await Promise.all(runs.map((run) => liveWork(bank, run, balance, nowIso)))),
		...(byHand ? [byHand] : [])
	];
	const dueMs = (w: RunningWork) =>
		w.waiting ? 0 : w.needsYouUntil ? Date.parse(w.needsYouUntil) : w.endless ? Infinity : Number.MAX_SAFE_INTEGER;
	return work.sort((a, b) => (dueMs(a) === dueMs(b) ? 0 : dueMs(a) - dueMs(b)));
}

async function isChargedByHand(bankId: number): Promise<boolean> {
	const open = { bank_id: bankId, ended_at: null, deleted_at: null };
	return (await database()('balance_runs').where(open).whereNotNull('started_at').first('id')) !== undefined;
}

const markOf = (bank: Bank) => (bank.rehearsal ? 'Rehearsal: ' : '');

/** A balance whose readings are typed. */
function balanceByHand(bank: Bank, balance: BalanceState, nowIso: string): RunningWork | null {
	const { run, progress, plan, readings } = balance;
	if (!run?.startedAt || !isCharging(run) || !progress || !plan) return null;
	const last = readings.at(-1);
	const remaining = progress.remainingS ?? (last ? null : plan.durationS);
	return {
		what: `${markOf(bank)}Top balance`,
		rehearsal: bank.rehearsal,
		figures: last
			? `${last.supplyA.toFixed(1)} A · ${(last.cellV ?? last.supplyV)?.toFixed(2) ?? '–'} V`
			: 'no reading yet',
		...needsYou(remaining, Date.parse(last?.readAt ?? run.startedAt)),
		fraction: Math.min(1, progress.deliveredAh / ((plan.toDeliverAh.low + plan.toDeliverAh.high) / 2)),
		nowIso,
		href: `/banks/${bank.id}/balance`,
		waiting: false,
		endless: false
	};
}

/** One decimal, without a minus before nought. */
const amperes = (value: number) => (Math.abs(value) < 0.05 ? 0 : value).toFixed(1);

/** What a live run shows at the top of every page of its bank. */
async function liveWork(bank: Bank, run: LiveRun, balance: BalanceState | null, nowIso: string): Promise<RunningWork> {
	const { last, sums, phase } = run.progress;
	const volts = last?.cellV ?? last?.voltageV ?? null;
	const movedAh = Math.abs(sums[phase]?.ah ?? 0);
	return {
		rehearsal: bank.rehearsal,
		what: `${markOf(bank)}${LIVE_NAMES[run.kind]} of ${await placeOf(run)}${run.phases[phase] && run.kind !== 'watch' ? `, ${run.phases[phase].kind}` : ''}`,
		figures:
			run.state === 'waiting'
				? `output off, ${movedAh.toFixed(1)} Ah so far`
				: last
					? `${amperes(last.currentA)} A · ${volts?.toFixed(2) ?? '–'} V · ${movedAh.toFixed(1)} Ah`
					: 'no sample yet',
		...needsYou(timeLeft(run, balance), last?.atMs ?? Date.parse(nowIso)),
		fraction: run.kind === 'capacity' && run.expectedAh ? Math.min(1, movedAh / run.expectedAh) : null,
		nowIso,
		href: `/banks/${bank.id}/live/${run.id}`,
		waiting: run.state === 'waiting',
		endless: run.kind === 'watch'
	};
}

/** Only the end of a run needs a person. A balance is judged by its own log, knee and taper included. */
function timeLeft(run: LiveRun, balance: BalanceState | null) {
	if (run.kind === 'balance') return balance?.progress?.remainingS ?? null;
	return toEndS(run, run.progress);
}

function needsYou(left: { low: number; high: number } | null, fromMs: number) {
	const at = (seconds: number) => new Date(fromMs + seconds * 1000).toISOString();
	return { needsYouFrom: left ? at(left.low) : null, needsYouUntil: left ? at(left.high) : null };
}
