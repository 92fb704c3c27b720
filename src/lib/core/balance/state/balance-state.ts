import { checkJoin, type JoinCheck } from '../joining';
import {
	judgeProgress,
	planTopBalance,
	type BalanceCell,
	type BalancePlan,
	type ChargeProgress
} from '../../foundation/parallel-charge';
import { CHEMISTRY_FIGURES, socBounds } from '../../foundation/chemistry';
import { CoreError } from '../../foundation/errors';
import { halfWidth } from '../../foundation/reading';
import {
	chargeOfCell,
	readingsInOrder,
	CRATE_REST_S,
	bankSubject,
	concernedCells,
	isInService,
	ownTypeOf,
	placedCells,
	readingSd,
	tellsCharge,
	type BankPicture,
	type PictureBalanceRun,
	type PictureCell,
	type PictureReading,
	type LoggedReading
} from '../../picture';
import { judgedTrays, stoppedCells } from '../../receive/trays';
import { bankCapacities } from '../../test/capacities';

/** What a person has at the bench until they say otherwise (default). */
/** A supply nobody has described. */
export const ASSUMED_SUPPLY = { supplyA: 20, leadOhm: 0.01, setV: null };
/** A supply that was set by a meter holds its voltage to so much, half-width, V (default). */
const SUPPLY_HALF_WIDTH_V = 0.005;

/** An earlier row of this bank that was charged to its end. */
export interface EarlierSet {
	run: PictureBalanceRun;
	readings: readonly LoggedReading[];
}

export interface BalanceState {
	cells: (BalanceCell & { plusTurned: boolean })[];
	/** Those of the row that must not be used, and why. */
	stopped: readonly { id: number; label: string; why: string }[];
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
		return run.cells.map(
			(c) => inPlay.get(c.id) ?? { ...c, plusTurned: false, readings: {}, touches: [], groupId: null }
		);
	}
	const picked = chosen && picture.cells.filter((c) => chosen.includes(c.id));
	if (picked?.length) return picked;
	if (run) return placedCells(picture);
	const concerned = concernedCells(picture);
	const sound = concerned.filter((c) => whyStopped(picture, c) === null);
	return sound.length ? sound : concerned;
}

/** Why a cell must not be charged with others; null: nothing stops it, or it was built in with a reason written down. */
function whyStopped(picture: BankPicture, { id, groupId }: Pick<PictureCell, 'id' | 'groupId'>): string | null {
	const battery = picture.batteries.find((b) => b.groups.some((g) => g.id === groupId));
	return battery?.builtDespite ? null : (stoppedCells(picture).get(id)?.join('; ') ?? null);
}
type RowCell = Pick<PictureCell, 'id' | 'label' | 'plusTurned' | 'readings' | 'touches' | 'groupId'>;

/** The rest voltage that tells a cell's charge as the row begins: when it was begun, else from now on; null: none does. */
function tellingRest(
	picture: BankPicture,
	cell: RowCell,
	run: PictureBalanceRun | null,
	nowIso: string
): PictureReading | null {
	if (run?.startedAt && run.cells.length) return run.cells.find((c) => c.id === cell.id)?.rest ?? null;
	const reading = cell.readings.restVoltage;
	// Only of a bank at work it matters how long ago that was; the bench of a rehearsal has a clock of its own.
	const at = run?.startedAt ?? (isInService(picture) ? nowIso : null);
	return reading && tellsCharge(reading.takenAt, cell.touches, at, run?.id ?? null) ? reading : null;
}

/** When the row begins, ms. The bench of a rehearsal has a clock of its own: before it begins, after all that was done. */
const beginOf = (cell: RowCell, run: PictureBalanceRun | null, nowIso: string): number =>
	run?.startedAt
		? Date.parse(run.startedAt)
		: Math.max(
				Date.parse(nowIso),
				...cell.touches.flatMap((t) => (t.until === null ? [] : [Date.parse(t.until)])),
				Date.parse(cell.readings.restVoltage?.takenAt ?? nowIso)
			);

/** The cells of the row with what is known of their charge as it begins. */
function balanceCells(
	picture: BankPicture,
	row: readonly RowCell[],
	run: PictureBalanceRun | null,
	nowIso: string
): BalanceState['cells'] {
	const { bank, meters } = picture;
	const inPlay = new Map(picture.cells.map((c) => [c.id, ownTypeOf(picture, c)?.ratedAh ?? null]));
	const ofTrays = new Map(judgedTrays(picture).flatMap((t) => Object.entries(t.socByCell)));
	const byCell = new Map(bankCapacities(picture).map((c) => [c.cell.id, c]));
	return row.map((cell) => {
		const { id, label, plusTurned, readings } = cell;
		const rest = tellingRest(picture, cell, run, nowIso);
		const capacityAh = byCell.get(id)?.capacityAh ?? inPlay.get(id) ?? picture.cellType?.ratedAh ?? 100;
		// Its tray knows whether it was read along a string.
		const bounds =
			rest &&
			((rest.id === readings.restVoltage?.id ? ofTrays.get(String(id)) : undefined) ??
				socBounds(
					bank.chemistry,
					Math.abs(rest.value),
					readingSd(rest, meters.restVoltage),
					rest.restS ?? CRATE_REST_S
				));
		const rests =
			rest && bounds
				? [{ atMs: Date.parse(rest.takenAt), share: { low: bounds.lowFraction, high: bounds.highFraction } }]
				: [];
		const { share } = chargeOfCell(picture, cell, capacityAh, rests, beginOf(cell, run, nowIso), run?.id ?? null);
		return {
			id,
			label,
			capacityAh,
			socLow: share.low,
			socHigh: share.high,
			plusTurned,
			polarityOpen: (readings.restVoltage?.value ?? 0) < 0 && !plusTurned,
			// A cell that read negative is turned before it is joined.
			restVoltageV: rest && Math.abs(rest.value),
			resistanceMohm: readings.acResistance?.value ?? null
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
	const ordered = readingsInOrder(readings).map(
		({ readAt, supplyV, supplyA, cellV, deliveredAh, stopped, counterAnew = null }) => ({
			timeS: (Date.parse(readAt) - startMs) / 1000,
			supplyV,
			supplyA,
			cellV,
			deliveredAh,
			stopped,
			counterAnew
		})
	);
	return judgeProgress(ordered, plan);
}

/** The joining check; before anybody has a supply in hand a missing reading is only missing, and of a bank at work nobody asks it. */
function joinOf(picture: BankPicture, run: PictureBalanceRun | null, cells: readonly BalanceCell[]): JoinCheck {
	const join = checkJoin(cells, bankSubject(picture));
	if (run || join.verdict.code !== 'join-unknown') return join;
	return { ...join, verdict: { ...join.verdict, warmth: isInService(picture) ? 'calm' : 'open' } };
}

/** An earlier set as it stood at its tail; null where it was not done, or its cells stand in the row now. */
function chargedToItsEnd(
	picture: BankPicture,
	{ run, readings }: EarlierSet,
	inRow: ReadonlySet<number>,
	nowIso: string
): BalanceState['earlier'][number] | null {
	if (run.cells.length === 0 || run.cells.some((c) => inRow.has(c.id))) return null;
	const { supplyA, leadOhm, setV } = run;
	const { plan } = planFor(picture, balanceCells(picture, rowCells(picture, run, null), run, nowIso), {
		supplyA,
		leadOhm,
		setV
	});
	const progress = plan && progressOf(run, readings, plan);
	if (!progress?.done || progress.last?.cellV == null) return null;
	return { cells: run.cells, cellV: progress.last.cellV, cellA: progress.last.supplyA / run.cells.length };
}

/**
 * Where the parallel top balance of a bank stands: plan, joining check, log and progress.
 * @param readings of the latest run
 * @param nowIso when a row that has not begun would begin
 * @param sets rows that were ended before it
 * @param chosen cells for a balance that is still to be planned; null: the latest run, or all this bank asks something of
 * @param supplyAtHand what the plan says of the supply; a usual one where it says nothing
 */
export function balanceState(
	picture: BankPicture,
	readings: readonly LoggedReading[],
	nowIso: string,
	chosen: readonly number[] | null = null,
	sets: readonly EarlierSet[] = [],
	supplyAtHand: BalanceState['supply'] = ASSUMED_SUPPLY
): BalanceState {
	const latest = picture.balanceRun;
	const planned = chosen?.length && (latest === null || latest.endedAt !== null);
	const run = planned ? null : latest;
	const row = rowCells(picture, run, chosen);
	const cells = balanceCells(picture, row, run, nowIso);
	// A cell that must not be charged is told so, and not also how far to charge it.
	const joinable = cells.filter((c, i) => whyStopped(picture, row[i]!) === null || c.polarityOpen);
	const supply = run ? { supplyA: run.supplyA, leadOhm: run.leadOhm, setV: run.setV } : supplyAtHand;
	const { plan, noPlan } = planFor(picture, cells, supply);
	const inRow = new Set(cells.map((c) => c.id));
	const earlier = sets.flatMap((set) => chargedToItsEnd(picture, set, inRow, nowIso) ?? []);
	const inSets = new Set(earlier.flatMap((e) => e.cells.map((c) => c.id)));
	return {
		cells,
		stopped: row.flatMap((c) => {
			const why = whyStopped(picture, c);
			return why === null ? [] : [{ id: c.id, label: c.label, why }];
		}),
		run,
		readings: run ? readings : [],
		supply,
		earlier,
		missed: run?.startedAt ? placedCells(picture).filter((c) => !inRow.has(c.id) && !inSets.has(c.id)) : [],
		plan,
		noPlan,
		join: joinable.length ? joinOf(picture, run, joinable) : null,
		progress: run && plan ? progressOf(run, readings, plan) : null
	};
}

export const isCharging = (run: PictureBalanceRun | null): boolean =>
	run !== null && run.startedAt !== null && run.endedAt === null;
