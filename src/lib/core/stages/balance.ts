import {
	chargeAfter,
	chargeVerdicts,
	checkJoin,
	joinedVerdicts,
	judgeProgress,
	planTopBalance,
	type BalanceCell,
	type BalancePlan,
	type ChargeProgress,
	type JoinCheck
} from '../balance';
import { CHEMISTRY_FIGURES } from '../chemistry';
import { CoreError } from '../shared';
import { followMethod, type MethodState } from '../method-run';
import { halfWidth } from '../reading';
import { cellSubject, say, type Subject, type Verdict } from '../verdicts';
import type { BankPicture, PictureBalanceRun, PictureCell } from './picture';
import { bankSubject, concernedCells, isInService, placedCells } from './picture-parts';
import { judgedTrays } from './receive';
import type { StageJudgement } from './stage-judgement';
import { bankCapacities } from './test';

/** What a person has at the bench until they say otherwise (default). */
const ASSUMED_SUPPLY = { supplyA: 20, leadOhm: 0.01, setV: null };
/** A supply that was set by a meter holds its voltage to so much, half-width, V (default). */
const SUPPLY_HALF_WIDTH_V = 0.005;

/** One look at a charge that is logged. */
export interface LoggedReading {
	id: number;
	version: number;
	readAt: string;
	supplyV: number | null;
	supplyA: number;
	cellV: number | null;
	deliveredAh: number | null;
}

export interface BalanceState {
	cells: (BalanceCell & { plusTurned: boolean })[];
	run: PictureBalanceRun | null;
	readings: readonly LoggedReading[];
	supply: { supplyA: number; leadOhm: number; setV: number | null };
	/** Cells that sit in the bank and were not in the row. */
	missed: readonly { id: number; label: string }[];
	plan: BalancePlan | null;
	/** Why there is no plan although there are cells. */
	noPlan: string | null;
	join: JoinCheck | null;
	progress: ChargeProgress | null;
}

/** Which cells stand in the row: those of its run, else those chosen, else all this bank asks something of. */
function rowCells(
	picture: BankPicture,
	run: PictureBalanceRun | null,
	chosen: readonly number[] | null
): readonly RowCell[] {
	if (run?.cells.length) {
		const inPlay = new Map(picture.cells.map((c) => [c.id, c]));
		// A cell that has left the bank stood in the row all the same.
		return run.cells.map((c) => inPlay.get(c.id) ?? { ...c, plusTurned: false, readings: {} });
	}
	const picked = chosen && picture.cells.filter((c) => chosen.includes(c.id));
	if (picked?.length) return picked;
	return run ? placedCells(picture) : concernedCells(picture);
}
type RowCell = Pick<PictureCell, 'id' | 'label' | 'plusTurned' | 'readings'>;

/** The cells of the row with what is known of their charge. */
function balanceCells(picture: BankPicture, row: readonly RowCell[]): BalanceState['cells'] {
	const { cellType } = picture;
	const soc = new Map(judgedTrays(picture).flatMap((t) => Object.entries(t.socByCell)));
	const byCell = new Map(bankCapacities(picture).map((c) => [c.cell.id, c]));
	return row.map(({ id, label, plusTurned, readings: { restVoltage, acResistance } }) => {
		const { capacityAh = null, cell = null } = byCell.get(id) ?? {};
		const run = cell?.runs.at(-1) ?? null;
		const reading = restVoltage ?? null;
		// A capacity run changes a cell’s charge: what was read before it says nothing any more.
		const outdated = run !== null && (reading === null || run.testedAt > reading.takenAt);
		const bounds = outdated ? undefined : soc.get(String(id));
		return {
			id,
			label,
			capacityAh: capacityAh ?? cellType?.ratedAh ?? 100,
			socLow: bounds?.lowFraction ?? 0,
			socHigh: bounds?.highFraction ?? 1,
			plusTurned,
			polarityOpen: reading !== null && reading.value < 0 && !plusTurned,
			// A cell that read negative is turned before it is joined.
			restVoltageV: outdated || reading === null ? null : Math.abs(reading.value),
			resistanceMohm: acResistance?.value ?? null
		};
	});
}

function planFor(
	{ bank, cellType, meters }: BankPicture,
	cells: readonly BalanceCell[],
	supply: BalanceState['supply']
): Pick<BalanceState, 'plan' | 'noPlan'> {
	if (cells.length === 0) return { plan: null, noPlan: null };
	const figures = CHEMISTRY_FIGURES[bank.chemistry];
	try {
		const plan = planTopBalance(cells, {
			chemistry: bank.chemistry,
			chargeLimitV: cellType?.chargeLimitV ?? figures.chargeLimitV,
			chargeCRate: cellType?.chargeCRate ?? figures.chargeCRate,
			voltageHalfWidthV: halfWidth(meters.restVoltage, figures.chargeLimitV) + SUPPLY_HALF_WIDTH_V,
			...supply
		});
		return { plan, noPlan: null };
	} catch (error) {
		if (!(error instanceof CoreError)) throw error;
		return { plan: null, noPlan: error.message };
	}
}

function progressOf(run: PictureBalanceRun, readings: readonly LoggedReading[], plan: BalancePlan): ChargeProgress {
	const startMs = Date.parse(run.startedAt ?? run.createdAt);
	// Two readings in the same instant are one: the later entry stands.
	const byTime = new Map(readings.map((r) => [(Date.parse(r.readAt) - startMs) / 1000, r]));
	const ordered = [...byTime]
		.sort(([a], [b]) => a - b)
		.map(([timeS, { supplyV, supplyA, cellV, deliveredAh }]) => ({ timeS, supplyV, supplyA, cellV, deliveredAh }));
	return judgeProgress(ordered, plan);
}

/**
 * Where the parallel top balance of a bank stands: plan, joining check, log and progress.
 * @param readings of the latest run
 * @param chosen cells for a balance that is still to be planned; null: the latest run, or all this bank asks something of
 */
export function balanceState(
	picture: BankPicture,
	readings: readonly LoggedReading[],
	chosen: readonly number[] | null = null
): BalanceState {
	const latest = picture.balanceRun;
	const planned = chosen?.length && (latest === null || latest.endedAt !== null);
	const run = planned ? null : latest;
	const cells = balanceCells(picture, rowCells(picture, run, chosen));
	const supply = run ? { supplyA: run.supplyA, leadOhm: run.leadOhm, setV: run.setV } : ASSUMED_SUPPLY;
	const { plan, noPlan } = planFor(picture, cells, supply);
	const inRow = new Set(cells.map((c) => c.id));
	return {
		cells,
		run,
		readings: run ? readings : [],
		supply,
		missed: run?.startedAt ? placedCells(picture).filter((c) => !inRow.has(c.id)) : [],
		plan,
		noPlan,
		join: cells.length ? checkJoin(cells, bankSubject(picture)) : null,
		progress: run && plan ? progressOf(run, readings, plan) : null
	};
}

export const isCharging = (run: PictureBalanceRun | null): boolean =>
	run !== null && run.startedAt !== null && run.endedAt === null;

/** Before anybody has a supply in hand a missing reading is only missing. */
const unhurried = (verdict: Verdict): Verdict =>
	verdict.code === 'join-unknown' ? { ...verdict, warmth: 'open' } : verdict;

/** A charge that was ended before it was done: how far it came, and what was missing. */
function endedVerdict({ plan, progress }: BalanceState, subject: Subject): Verdict {
	const reached = plan && progress ? chargeAfter(plan, progress.deliveredAh) : null;
	return say('balance-ended', 'look', subject, {
		unmet: progress?.unmet ?? [],
		chargeLow: reached?.low ?? null,
		chargeHigh: reached?.high ?? null
	});
}

/** Where the latest balance by steps stands; null: there is none. */
export const methodStanding = ({ methodRun }: BankPicture): MethodState | null =>
	methodRun && followMethod(methodRun.run, methodRun.world);

/** The same while it goes on; null: it has been ended. */
const methodState = (picture: BankPicture) => (picture.methodRun?.run.endedAt ? null : methodStanding(picture));

/** The verdicts on a balance: whether the cells may be joined, then how the charge stands. */
export function judgeBalanceStage(picture: BankPicture, state: BalanceState): StageJudgement {
	const { progress, missed } = state;
	const subject = bankSubject(picture);
	const of = placedCells(picture).length;
	// Ended is not done: only what was read to its end is, of the cells that were in the row.
	const stepped = picture.methodRun?.run.endedAt ? methodStanding(picture)?.done === true : false;
	const done = isInService(picture) || stepped || (progress?.done === true && of > 0 && missed.length === 0);
	const misses =
		missed.length && !isInService(picture)
			? [say('balance-misses', 'look', subject, { cells: missed.length, of }, missed.map(cellSubject))]
			: [];
	const steps = methodState(picture);
	const { verdicts } = chargeJudgement(picture, state, done);
	const joined = isCharging(state.run) || !done ? joinedVerdicts(picture.cells) : [];
	return { verdicts: [...(steps?.verdicts ?? []), ...misses, ...joined, ...verdicts], done };
}

/** What is said of the charge itself. */
function chargeJudgement(picture: BankPicture, state: BalanceState, done: boolean): StageJudgement {
	const { run, join, progress } = state;
	const subject = bankSubject(picture);
	if (progress?.done && run?.endedAt) return { verdicts: [], done };
	// Before cells are placed a row is only looked at: it asks nothing.
	if (!run && placedCells(picture).length === 0) return { verdicts: [], done };
	if (isCharging(run)) return { verdicts: progress ? chargeVerdicts(progress, subject) : [], done };
	if (done || !join) return { verdicts: [], done };
	if (!run) return { verdicts: [unhurried(join.verdict)], done };
	if (run.endedAt !== null) return { verdicts: [endedVerdict(state, subject)], done };
	const ticked = Object.values(run.checklist ?? {}).filter(Boolean).length;
	return { verdicts: [join.verdict, say('balance-waiting', 'open', subject, { ticked })], done };
}
