import {
	TESTER_GAIN_SD,
	judgeCapacity,
	judgeTesting,
	toStandardConditions,
	type CapacityJudgement
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

function capacityOf(cell: PictureCell, cellType: PictureCellType | null): CellCapacity {
	const run = cell.runs.at(-1) ?? null;
	if (!run) return { cell, run, capacityAh: null, sdAh: null, refused: null, judgement: null };
	try {
		const measured = { capacityAh: run.capacityAh, sdAh: run.sdAh ?? run.capacityAh * TESTER_GAIN_SD };
		const { capacityAh, sdAh } = toStandardConditions(measured, run.temperatureC, run.cRate, STANDARD_C_RATE);
		const judgement = cellType ? judgeCapacity(cell, capacityAh, sdAh, cellType.ratedAh) : null;
		return { cell, run, capacityAh, sdAh, refused: null, judgement };
	} catch (error) {
		if (!(error instanceof CoreError)) throw error;
		return { cell, run, capacityAh: null, sdAh: null, refused: error.message, judgement: null };
	}
}

/** The capacity each cell in play is believed to have: its latest run, corrected, against rated. Tray order. */
export const bankCapacities = oncePerPicture(({ cells, cellType }): CellCapacity[] =>
	cells.map((cell) => capacityOf(cell, cellType))
);

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
