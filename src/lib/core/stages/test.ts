import {
	TESTER_GAIN_SD,
	jointCapacities,
	judgeCapacity,
	judgeTesting,
	toStandardConditions,
	type CapacityJudgement,
	type JointCapacity,
	type RefusedRun,
	type StandardRun,
	type TestersApart
} from '../capacity-run';
import { CHEMISTRY_FIGURES } from '../chemistry';
import { CoreError } from '../shared';
import { measured, say, type Subject, type Verdict } from '../verdicts';
import { oncePerPicture } from './once-per-picture';
import type { BankPicture, PictureCell, PictureCellType, PictureRun } from './picture';
import { bankSubject, concernedCells, isInService, wantedCells } from './picture-parts';
import { setAside, type StageJudgement } from './stage-judgement';

/** The protocol's discharge rate when the maker gives none (default). */
const STANDARD_C_RATE = 0.2;

export interface CellCapacity {
	cell: PictureCell;
	/** The run its figure is of; its latest where none gave one. */
	run: PictureRun | null;
	/** Capacity brought to standard conditions, Ah, with its doubt; null when not tested or the correction is refused. */
	capacityAh: number | null;
	sdAh: number | null;
	/** Why there is no capacity although there is a run. */
	refused: RefusedRun | null;
	/** How its latest run was brought to standard conditions; null where there is none. */
	correction: { fraction: number; temperatureC: number | null; cRate: number | null } | null;
	judgement: CapacityJudgement | null;
}

/** Runs of a cell that are this much older than its latest are of another cell, so to say, ms: a cell ages. */
const SAME_AGE_MS = 365.25 * 86400e3;

/** A run ended this much above the limit of the cell is a run to another end, V. */
const OTHER_END_V = 0.05;

/** Why a run gives a lower bound and no capacity; null when it gives one. */
function onlyAtLeast(run: PictureRun, limitV: number): RefusedRun | null {
	const { capacityAh: atLeastAh } = run;
	const has = (code: string) => run.faults?.some((f) => f.code === code) ?? false;
	if (has('starts-not-full') || run.startedFull === false) return { why: 'not-full', atLeastAh };
	const endedHigh = run.source === 'hand' && run.cutoffV !== null && run.cutoffV > limitV + OTHER_END_V;
	return has('ends-early') || endedHigh ? { why: 'ended-early', atLeastAh } : null;
}

/** The rate a run was made at: as logged, or from what was written down by hand. */
function cRateOf(
	{ cRate, currentA, powerW, capacityAh, energyWh }: PictureRun,
	type: PictureCellType | null,
	nominalV: number
) {
	const ratedAh = type?.ratedAh ?? null;
	if (cRate !== null || ratedAh === null) return cRate;
	if (currentA) return Math.abs(currentA) / ratedAh;
	return powerW ? powerW / (energyWh ? energyWh / capacityAh : nominalV) / ratedAh : null;
}

interface BroughtToStandard {
	standard: StandardRun[];
	/** Why its latest run gives no capacity, where none does. */
	refused: RefusedRun | null;
	/** The latest that does, and how it was brought to standard. */
	used: PictureRun | null;
	correction: CellCapacity['correction'];
}

/** A cell's runs brought to standard conditions. */
function standardRuns(cell: PictureCell, { bank, cellType }: BankPicture): BroughtToStandard {
	const latest = cell.runs.at(-1);
	const brought: BroughtToStandard = { standard: [], refused: null, used: null, correction: null };
	if (!latest) return brought;
	const { nominalV, dischargeLimitV } = CHEMISTRY_FIGURES[bank.chemistry];
	const since = Date.parse(latest.testedAt) - SAME_AGE_MS;
	for (const run of cell.runs.filter((r) => Date.parse(r.testedAt) >= since)) {
		const atLeast = onlyAtLeast(run, cellType?.dischargeLimitV ?? dischargeLimitV);
		if (atLeast) {
			brought.refused = atLeast;
			continue;
		}
		try {
			const measured = { capacityAh: run.capacityAh, sdAh: run.sdAh ?? run.capacityAh * TESTER_GAIN_SD };
			const cRate = cRateOf(run, cellType, nominalV);
			const to = toStandardConditions(measured, run.temperatureC, cRate, STANDARD_C_RATE);
			const [before, after] = [measured.sdAh / measured.capacityAh, to.sdAh / to.capacityAh];
			const sharedSd = Math.sqrt(Math.max(0, after ** 2 - before ** 2));
			brought.standard.push({
				cellId: cell.id,
				tester: run.tester,
				capacityAh: to.capacityAh,
				sdAh: to.sdAh,
				sharedSd
			});
			brought.used = run;
			brought.correction = { fraction: to.correctionFraction, temperatureC: run.temperatureC, cRate };
		} catch (error) {
			if (!(error instanceof CoreError)) throw error;
			brought.refused = { why: 'conditions', reason: error.message };
		}
	}
	return brought.standard.length ? { ...brought, refused: null } : brought;
}

function capacityOf(
	cell: PictureCell,
	cellType: PictureCellType | null,
	joint: JointCapacity | null,
	{ refused, used, correction }: BroughtToStandard
): CellCapacity {
	// The figure and its date are of one run: a later one that gave none is told as refused.
	const run = used ?? cell.runs.at(-1) ?? null;
	if (!joint) return { cell, run, capacityAh: null, sdAh: null, refused, correction: null, judgement: null };
	const { capacityAh, sdAh, testersApartAh } = joint;
	const judgement = cellType
		? judgeCapacity(cell, capacityAh, sdAh, cellType.ratedAh, testersApartAh, correction)
		: null;
	return { cell, run, capacityAh, sdAh, refused: null, correction, judgement };
}

/** The capacity each cell in play is believed to have: all its runs of a year, corrected, testers compared. Tray order. */
export const bankCapacities = (picture: BankPicture): CellCapacity[] => bankTesting(picture).capacities;

const bankTesting = oncePerPicture((picture): { capacities: CellCapacity[]; apart: TestersApart | null } => {
	const own = picture.cells.map((cell) => ({ cell, brought: standardRuns(cell, picture) }));
	const { byCell, apart } = jointCapacities(own.flatMap((c) => c.brought.standard));
	const capacities = own.map(({ cell, brought }) =>
		capacityOf(cell, picture.cellType, byCell.get(cell.id) ?? null, brought)
	);
	return { capacities, apart };
});

/** Two usual testers differ by less, as a fraction: √2 of their gains at 95 %. */
const USUALLY_APART = 1.96 * Math.SQRT2 * TESTER_GAIN_SD;

function testersVerdict({ high, low, fraction, sd }: TestersApart, bank: Subject): Verdict {
	const warmth = fraction > USUALLY_APART ? 'look' : 'calm';
	return say('testers-apart', warmth, bank, { high, low, fraction: measured(fraction, sd) });
}

/** The verdicts on what was tested. In service nobody is asked to test the cells. */
export function judgeTestStage(picture: BankPicture): StageJudgement {
	const { capacities, apart } = bankTesting(picture);
	const concerned = new Set(concernedCells(picture).map((c) => c.id));
	const asked = (c: CellCapacity) => c.run !== null || (concerned.has(c.cell.id) && !isInService(picture));
	const tested = capacities.filter(asked).map((c) => ({
		...{ id: c.cell.id, label: c.cell.label, judgement: c.judgement, refused: c.refused },
		temperatureC: c.correction?.temperatureC ?? null,
		tested: c.capacityAh !== null
	}));
	const own = capacities.filter((c) => concerned.has(c.cell.id));
	return {
		verdicts: [
			...setAside(judgeTesting(tested, bankSubject(picture)), concerned),
			...(apart ? [testersVerdict(apart, bankSubject(picture))] : [])
		],
		done: own.length >= wantedCells(picture) && own.every((c) => c.capacityAh !== null)
	};
}
