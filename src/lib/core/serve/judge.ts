import { askingAfterStop } from '../foundation/verdicts';
import { placedCells, type BankPicture, type StageJudgement } from '../picture';
import { stoppedCells } from '../receive/trays';
import type { BatteryService } from './state';

/** The verdicts on the years of a bank; a stage that is never done. */
export function judgeServeStage(picture: BankPicture, batteries: readonly BatteryService[]): StageJudgement {
	const verdicts = batteries.flatMap((b) => b.verdicts);
	return { verdicts: mustStandStill(picture) ? verdicts.map(askingAfterStop) : verdicts, done: false };
}

/** A cell that sits in this bank must not be used: nothing asks for a charge or a load meanwhile. */
const mustStandStill = (picture: BankPicture): boolean =>
	placedCells(picture).some((cell) => stoppedCells(picture).has(cell.id));
