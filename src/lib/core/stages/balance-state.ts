import {
	checkJoin,
	judgeProgress,
	planTopBalance,
	type BalanceCell,
	type BalancePlan,
	type ChargeProgress,
	type JoinCheck
} from '../balance';
import { CHEMISTRY_FIGURES } from '../chemistry';
import { CoreError } from '../shared';
import { halfWidth } from '../reading';
import type { BankPicture, PictureBalanceRun, PictureCell } from './picture';
import { bankSubject, concernedCells, placedCells } from './picture-parts';
import { judgedTrays } from './receive';
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
	/** The charger has stopped by itself. */
	stopped: boolean | null;
}

/** An earlier row of this bank that was charged to its end. */
export interface EarlierSet {
	run: PictureBalanceRun;
	readings: readonly LoggedReading[];
}

export interface BalanceState {
	cells: (BalanceCell & { plusTurned: boolean })[];
	run: PictureBalanceRun | null;
	readings: readonly LoggedReading[];
	supply: { supplyA: number; leadOhm: number; setV: number | null };
	/** Rows of other cells that were charged to their end before. */
	earlier: { cells: readonly { id: number; label: string }[]; cellV: number; cellA: number }[];
	/** Cells that sit in the bank and were in no such row. */
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
		.map(([timeS, { supplyV, supplyA, cellV, deliveredAh, stopped }]) => ({
			...{ timeS, supplyV, supplyA, cellV, deliveredAh, stopped }
		}));
	return judgeProgress(ordered, plan);
}

/** An earlier set as it stood at its tail; null where it was not done, or its cells stand in the row now. */
function chargedToItsEnd(
	picture: BankPicture,
	{ run, readings }: EarlierSet,
	inRow: ReadonlySet<number>
): BalanceState['earlier'][number] | null {
	if (run.cells.length === 0 || run.cells.some((c) => inRow.has(c.id))) return null;
	const { supplyA, leadOhm, setV } = run;
	const { plan } = planFor(picture, balanceCells(picture, rowCells(picture, run, null)), { supplyA, leadOhm, setV });
	const progress = plan && progressOf(run, readings, plan);
	if (!progress?.done || progress.last?.cellV == null) return null;
	return { cells: run.cells, cellV: progress.last.cellV, cellA: progress.last.supplyA / run.cells.length };
}

/**
 * Where the parallel top balance of a bank stands: plan, joining check, log and progress.
 * @param readings of the latest run
 * @param sets rows that were ended before it
 * @param chosen cells for a balance that is still to be planned; null: the latest run, or all this bank asks something of
 */
export function balanceState(
	picture: BankPicture,
	readings: readonly LoggedReading[],
	chosen: readonly number[] | null = null,
	sets: readonly EarlierSet[] = []
): BalanceState {
	const latest = picture.balanceRun;
	const planned = chosen?.length && (latest === null || latest.endedAt !== null);
	const run = planned ? null : latest;
	const cells = balanceCells(picture, rowCells(picture, run, chosen));
	const supply = run ? { supplyA: run.supplyA, leadOhm: run.leadOhm, setV: run.setV } : ASSUMED_SUPPLY;
	const { plan, noPlan } = planFor(picture, cells, supply);
	const inRow = new Set(cells.map((c) => c.id));
	const earlier = sets.flatMap((set) => chargedToItsEnd(picture, set, inRow) ?? []);
	const inSets = new Set(earlier.flatMap((e) => e.cells.map((c) => c.id)));
	return {
		cells,
		run,
		readings: run ? readings : [],
		supply,
		earlier,
		missed: run?.startedAt ? placedCells(picture).filter((c) => !inRow.has(c.id) && !inSets.has(c.id)) : [],
		plan,
		noPlan,
		join: cells.length ? checkJoin(cells, bankSubject(picture)) : null,
		progress: run && plan ? progressOf(run, readings, plan) : null
	};
}

export const isCharging = (run: PictureBalanceRun | null): boolean =>
	run !== null && run.startedAt !== null && run.endedAt === null;
