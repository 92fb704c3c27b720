import { askingNothing } from '../foundation/verdicts';
import { judgeUnlike } from './inspection';
import { say } from './verdicts';
import { idleVerdict, lateVerdicts, judgedTrays, deliveryClaim } from './trays';
import {
	bankSubject,
	concernedCells,
	isInService,
	wantedCells,
	setAside,
	type BankPicture,
	type StageJudgement
} from '../picture';

/** The verdicts on what arrived, and whether every cell that is needed is here and read. */
/** @param nowIso when it is looked at; null: what only time tells is left out */
export function judgeReceiveStage(picture: BankPicture, nowIso: string | null = null): StageJudgement {
	const trays = judgedTrays(picture);
	const concerned = concernedCells(picture);
	const wanted = wantedCells(picture);
	const unread = concerned.filter((c) => !c.readings.restVoltage || !c.readings.acResistance);
	const done = concerned.length >= wanted && unread.length === 0;
	if (trays.length === 0) {
		const facts = { total: 0, unread: 0, withoutVoltage: 0, withoutResistance: 0 };
		// A bank built long ago, or of ready-made batteries, has no crate to unpack.
		const asks = wanted > 0 && !isInService(picture);
		return { verdicts: asks ? [say('not-read', 'open', bankSubject(picture), facts)] : [], done: !asks };
	}
	const ids = new Set(concerned.map((c) => c.id));
	const verdicts = trays.flatMap((t) => [...deliveryClaim(picture, t).verdicts, ...t.verdicts]);
	const unlike = judgeUnlike(concerned, bankSubject(picture));
	// In service they are built together already: it is said, and nobody is asked.
	const told = isInService(picture) ? unlike.map(askingNothing) : unlike;
	const idle = nowIso === null ? [] : idleVerdict(picture, concerned, nowIso);
	return { verdicts: [...setAside(verdicts, ids), ...told, ...lateVerdicts(picture), ...idle], done };
}
