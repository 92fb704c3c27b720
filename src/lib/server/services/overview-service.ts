import { judgePlan, type RunningWork, type Stage, type StageStatus } from '$lib/core/planning';
import { WARMTHS, warmestFirst, type Verdict, type Warmth } from '$lib/core/shared';
import { remainingS } from '$lib/core/live-run';
import { banks, type Bank, type CellType, type LiveRun } from '../db/tables';
import { balanceState } from './balance-service';
import { bankWithType, deliveryTrays } from './delivery-service';
import { limitsState } from './limits-service';
import { openLiveRuns } from './live/live-service';
import { currentPlacements } from './match-service';
import { nowOf } from './rehearsal-bench';
import { bankCapacities } from './run-service';
import { serveState } from './serve-service';

export interface BankOverview {
	bank: Bank;
	cellType: CellType | null;
	stages: StageStatus[];
	/** The stage to go on with. */
	current: Stage;
	running: RunningWork | null;
	/** Cells have been given their groups. */
	placed: boolean;
	/** Live runs that go on or wait for a person. */
	live: { id: number; state: LiveRun['state'] }[];
	/** Warmest verdict of all stages. */
	needs: (Verdict & { stage: Stage })[];
	warmth: Warmth;
}

const status = (stage: Stage, open: string | null, warmth: Warmth, done: boolean, available = true): StageStatus => ({
	stage,
	available,
	open,
	warmth,
	done
});

/** A bank's stages, what is running and what needs a person; the figures behind home, rail and header. */
export async function bankOverview(bankId: number): Promise<BankOverview> {
	const { bank, cellType } = await bankWithType(bankId);
	const [trays, { capacities }, placed, balance, limits, serve, runs, now] = await Promise.all([
		deliveryTrays(bankId),
		bankCapacities(bankId),
		currentPlacements(bankId),
		balanceState(bankId),
		limitsState(bankId),
		serveState(bankId),
		openLiveRuns(bankId),
		nowOf(bank)
	]);
	const nowIso = now.toISOString();
	const inService = bank.inServiceOn !== null || serve.checks.length > 0;
	const inUse = new Set(placed.map((p) => p.cellId));
	// Once cells are placed, a verdict on one left over asks nothing of this bank any more.
	const concerns = (v: Verdict) => inUse.size === 0 || v.cellIds.length === 0 || v.cellIds.some((id) => inUse.has(id));
	const receive = trays.flatMap((t) => t.judgement.verdicts).filter(concerns);
	const unread = receive.filter((v) => v.code === 'not-read').flatMap((v) => v.cellIds).length;
	const untested = capacities.filter((c) => c.capacityAh === null).length;
	const needed = bank.series * bank.parallel * bank.batteries;
	const testVerdicts = capacities.flatMap((c) => (c.judgement ? [c.judgement.verdict] : [])).filter(concerns);
	const doneBalance = inService || balance.progress?.done === true || (balance.run?.endedAt ?? null) !== null;
	const warm = (verdicts: readonly Verdict[]) => warmestFirst(verdicts)[0]?.warmth ?? 'calm';
	const attention = (verdicts: readonly Verdict[]) => verdicts.filter((v) => WARMTHS.indexOf(v.warmth) >= 2).length;
	const count = (n: number) => (n > 0 ? String(n) : null);
	const plan = judgePlan(bank, cellType);
	const stages: StageStatus[] = [
		status('plan', count(attention(plan)) ?? (cellType ? null : '1'), warm(plan), cellType !== null),
		status(
			'receive',
			count(attention(receive)) ?? count(unread),
			attention(receive) ? warm(receive) : unread ? 'open' : 'calm',
			capacities.length >= needed && unread === 0
		),
		status('test', count(inService ? 0 : untested), 'calm', capacities.length >= needed && untested === 0),
		status(
			'match',
			placed.length === 0 && capacities.length >= needed && untested === 0 ? '1' : null,
			placed.length === 0 && capacities.length >= needed && untested === 0 ? 'open' : 'calm',
			placed.length > 0
		),
		status(
			'balance',
			balance.run && !doneBalance ? '1' : null,
			balance.run && !doneBalance ? 'open' : 'calm',
			doneBalance
		),
		status('build', null, 'calm', inService, false),
		status(
			'limits',
			limits.plan ? null : count(placed.length > 0 ? 1 : 0),
			warm(limits.plan ? limits.verdicts : []),
			limits.plan !== null
		),
		status('prove', null, 'calm', inService, false),
		status('serve', count(inService ? attention(serve.verdicts) : 0), inService ? warm(serve.verdicts) : 'calm', false)
	];
	const of = (stage: Stage, verdicts: readonly Verdict[]) => verdicts.map((v) => ({ ...v, stage }));
	const needs = warmestFirst([
		...of('plan', plan),
		...of('receive', receive),
		...of('test', testVerdicts),
		...of('balance', balance.run && balance.join && !doneBalance && placed.length ? [balance.join.verdict] : []),
		...of('limits', limits.plan ? limits.verdicts : []),
		...of('serve', inService ? serve.verdicts : [])
	]) as (Verdict & { stage: Stage })[];
	const current = inService ? 'serve' : (stages.find((s) => s.available && !s.done)?.stage ?? 'serve');
	return {
		bank,
		cellType,
		stages,
		current,
		running: runs.length ? liveWork(bank, runs[0], balance, nowIso) : runningWork(bank, balance, nowIso),
		placed: placed.length > 0,
		live: runs.map(({ id, state }) => ({ id, state })),
		needs,
		warmth: needs[0]?.warmth ?? 'calm'
	};
}

const markOf = (bank: Bank) => (bank.rehearsal ? 'Rehearsal: ' : '');

function runningWork(
	bank: Bank,
	balance: Awaited<ReturnType<typeof balanceState>>,
	nowIso: string
): RunningWork | null {
	const { run, progress, plan, readings } = balance;
	if (!run || !run.startedAt || run.endedAt || !progress || !plan) return null;
	const last = readings.at(-1);
	const remaining = progress.remainingS ?? (last ? null : plan.durationS);
	return {
		what: `${markOf(bank)}Top balance of ${bank.name}`,
		figures: last
			? `${last.supplyA.toFixed(1)} A · ${(last.cellV ?? last.supplyV)?.toFixed(2) ?? '–'} V`
			: 'no reading yet',
		...needsYou(remaining, Date.parse(last?.readAt ?? run.startedAt)),
		fraction: Math.min(1, progress.deliveredAh / ((plan.toDeliverAh.low + plan.toDeliverAh.high) / 2)),
		nowIso,
		href: `/banks/${bank.id}/balance`,
		waiting: false
	};
}

const LIVE_WORDS: Record<LiveRun['kind'], string> = { capacity: 'Capacity run', balance: 'Balance', watch: 'Watch' };

/** What a live run shows at the top of every page of its bank. */
function liveWork(
	bank: Bank,
	run: LiveRun,
	balance: Awaited<ReturnType<typeof balanceState>>,
	nowIso: string
): RunningWork {
	const { last, sums, phase } = run.progress;
	const volts = last?.cellV ?? last?.voltageV ?? null;
	const movedAh = Math.abs(sums[phase]?.ah ?? 0);
	return {
		what: `${markOf(bank)}${LIVE_WORDS[run.kind]} of ${bank.name}${run.phases[phase] && run.kind !== 'watch' ? `, ${run.phases[phase].kind}` : ''}`,
		figures: last
			? `${last.currentA.toFixed(1)} A · ${volts?.toFixed(2) ?? '–'} V · ${movedAh.toFixed(1)} Ah`
			: 'no sample yet',
		...needsYou(timeLeft(run, balance), last?.atMs ?? Date.parse(nowIso)),
		fraction: run.kind === 'capacity' && run.expectedAh ? Math.min(1, movedAh / run.expectedAh) : null,
		nowIso,
		href: `/banks/${bank.id}/live/${run.id}`,
		waiting: run.state === 'waiting'
	};
}

/** Only the end of the last phase needs a person. A balance is judged by its own log, knee and taper included. */
function timeLeft(run: LiveRun, balance: Awaited<ReturnType<typeof balanceState>>) {
	if (run.kind === 'balance') return balance.progress?.remainingS ?? null;
	const isLast = run.progress.phase === run.phases.length - 1;
	return isLast ? remainingS(run.phases, run.progress, run.expectedAh) : null;
}

function needsYou(left: { low: number; high: number } | null, fromMs: number) {
	const at = (seconds: number) => new Date(fromMs + seconds * 1000).toISOString();
	return { needsYouFrom: left ? at(left.low) : null, needsYouUntil: left ? at(left.high) : null };
}

/** Every bank, warmest first. */
export async function allOverviews(): Promise<BankOverview[]> {
	const all = await banks.all({});
	const overviews = await Promise.all(all.map((b) => bankOverview(b.id)));
	return overviews.sort(
		(a, b) =>
			WARMTHS.indexOf(b.warmth) - WARMTHS.indexOf(a.warmth) || Number(b.running !== null) - Number(a.running !== null)
	);
}
