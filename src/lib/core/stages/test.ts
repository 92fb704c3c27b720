import {
	TESTER_GAIN_SD,
	jointCapacities,
	judgeCapacity,
	judgeTesting,
	toStandardConditions,
	type CapacityJudgement,
	type JointCapacity,
	type StandardRun
} from '../capacity-run';
import { CoreError } from '../shared';
import { oncePerPicture } from './once-per-picture';
import type { BankPicture, PictureCell, PictureCellType, PictureRun } from './picture';
import { bankSubject, concernedCells, isInService, wantedCells } from './picture-parts';
import { setAside, type StageJudgement } from './stage-judgement';

/** The protocol's discharge rate when the maker gives none (default). */
const STANDARD_C_RATE = 0.2;

export interface CellCapacity {
	cell: PictureCell;
	run: PictureRun | null;
	/** Capacity brought to standard conditions, Ah, with its doubt; null when not tested or the correction is refused. */
	capacityAh: number | null;
	sdAh: number | null;
	/** Why there is no capacity although there is a run. */
	refused: string | null;
	judgement: CapacityJudgement | null;
}

/** Runs of a cell that are this much older than its latest are of another cell, so to say, ms: a cell ages. */
const SAME_AGE_MS = 365.25 * 86400e3;

/** A run that ended above its cut-off gives a lower bound and no capacity. */
const endedEarly = (run: PictureRun): boolean => run.faults?.some((f) => f.code === 'ends-early') ?? false;

/** A cell's runs brought to standard conditions, and why its latest could not be. */
function standardRuns(cell: PictureCell): { standard: StandardRun[]; refused: string | null } {
	const latest = cell.runs.at(-1);
	if (!latest) return { standard: [], refused: null };
	const since = Date.parse(latest.testedAt) - SAME_AGE_MS;
	let refused: string | null = null;
	const standard = cell.runs
		.filter((r) => Date.parse(r.testedAt) >= since)
		.flatMap((run): StandardRun[] => {
			if (endedEarly(run)) {
				refused = `The discharge ended above its cut-off: the cell has at least ${run.capacityAh.toFixed(1)} Ah. Run it to its end.`;
				return [];
			}
			try {
				const measured = { capacityAh: run.capacityAh, sdAh: run.sdAh ?? run.capacityAh * TESTER_GAIN_SD };
				const { capacityAh, sdAh } = toStandardConditions(measured, run.temperatureC, run.cRate, STANDARD_C_RATE);
				const [before, after] = [measured.sdAh / measured.capacityAh, sdAh / capacityAh];
				const sharedSd = Math.sqrt(Math.max(0, after ** 2 - before ** 2));
				return [{ cellId: cell.id, tester: run.tester, capacityAh, sdAh, sharedSd }];
			} catch (error) {
				if (!(error instanceof CoreError)) throw error;
				refused = error.message;
				return [];
			}
		});
	return { standard, refused: standard.length ? null : refused };
}

function capacityOf(
	cell: PictureCell,
	cellType: PictureCellType | null,
	joint: JointCapacity | null,
	refused: string | null
): CellCapacity {
	const run = cell.runs.at(-1) ?? null;
	if (!joint) return { cell, run, capacityAh: null, sdAh: null, refused, judgement: null };
	const { capacityAh, sdAh, testersApartAh } = joint;
	const judgement = cellType ? judgeCapacity(cell, capacityAh, sdAh, cellType.ratedAh, testersApartAh) : null;
	return { cell, run, capacityAh, sdAh, refused: null, judgement };
}

/** The capacity each cell in play is believed to have: all its runs of a year, corrected, testers compared. Tray order. */
export const bankCapacities = oncePerPicture(({ cells, cellType }): CellCapacity[] => {
	const own = cells.map((cell) => ({ cell, ...standardRuns(cell) }));
	const { byCell } = jointCapacities(own.flatMap((c) => c.standard));
	return own.map(({ cell, refused }) => capacityOf(cell, cellType, byCell.get(cell.id) ?? null, refused));
});

/** The verdicts on what was tested. In service nobody is asked to test the cells. */
export function judgeTestStage(picture: BankPicture): StageJudgement {
	const capacities = bankCapacities(picture);
	const concerned = new Set(concernedCells(picture).map((c) => c.id));
	const asked = (c: CellCapacity) => c.run !== null || (concerned.has(c.cell.id) && !isInService(picture));
	const tested = capacities
		.filter(asked)
		.map((c) => ({ ...c, id: c.cell.id, label: c.cell.label, tested: c.capacityAh !== null }));
	const own = capacities.filter((c) => concerned.has(c.cell.id));
	return {
		verdicts: setAside(judgeTesting(tested, bankSubject(picture)), concerned),
		done: own.length >= wantedCells(picture) && own.every((c) => c.capacityAh !== null)
	};
}
