import { judgePlan, type RunningWork, type Stage, type StageStatus } from '$lib/core/planning';
import { WARMTHS, warmestFirst, type Verdict, type Warmth } from '$lib/core/shared';
import { readingOnce } from '../db/read-once';
import { banks, type Bank, type CellType } from '../db/tables';
import { balanceState } from './balance-service';
import { bankWithType, deliveryTrays } from './delivery-service';
import { limitsState } from './limits-service';
import { currentPlacements } from './match-service';
import { nowOf } from './rehearsal-bench';
import { bankCapacities } from './run-service';
import { runningWork } from './running-work';
import { serveState } from './serve-service';

export interface BankOverview {
	bank: Bank;
	cellType: CellType | null;
	stages: StageStatus[];
	/** The stage to go on with. */
	current: Stage;
	/** What goes on at this bank, what needs a person first before the rest. */
	running: RunningWork[];
	/** Cells have been given their groups. */
	placed: boolean;
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
export const bankOverview = (bankId: number): Promise<BankOverview> => readingOnce(() => overviewOf(bankId));

async function overviewOf(bankId: number): Promise<BankOverview> {
	const { bank, cellType } = await bankWithType(bankId);
	const [trays, { capacities }, placed, balance, limits, serve, now] = await Promise.all([
		deliveryTrays(bankId),
		bankCapacities(bankId),
		currentPlacements(bankId),
		balanceState(bankId),
		limitsState(bankId),
		serveState(bankId),
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
		running: await runningWork(bank, balance, nowIso),
		placed: placed.length > 0,
		needs,
		warmth: needs[0]?.warmth ?? 'calm'
	};
}

/** Every bank, warmest first. */
export async function allOverviews(): Promise<BankOverview[]> {
	const overviews = await readingOnce(async () => {
		const each: BankOverview[] = [];
		// One bank after the other: many at once would keep everybody else from the database.
		for (const { id } of await banks.all({})) each.push(await overviewOf(id));
		return each;
	});
	return overviews.sort(
		(a, b) =>
			WARMTHS.indexOf(b.warmth) - WARMTHS.indexOf(a.warmth) ||
			Number(b.running.length > 0) - Number(a.running.length > 0)
	);
}
