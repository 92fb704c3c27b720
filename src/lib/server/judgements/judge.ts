import { failedStage, judgeBank, type BankJudgement } from '$lib/core/bank';
import type { BankPicture, StageJudgement } from '$lib/core/picture';
import { CoreError } from '$lib/core/foundation/errors';
import { log } from '../log';
import { acknowledgements } from '../records';
import type { StageFace } from './stage-face';

let faces: readonly StageFace[] = [];

/** The stages every bank is judged by, in the practitioner's order: given once, where the server starts. */
export function takeStages(all: readonly StageFace[]): void {
	faces = all;
}

/** One stage judged; what it cannot judge is said, and takes nothing else down. */
async function judgeStage(face: StageFace, picture: BankPicture): Promise<StageJudgement> {
	try {
		return face.judge(picture, await face.facts(picture));
	} catch (error) {
		log.error({ err: error, bankId: picture.bank.id, stage: face.name }, 'stage not judged');
		const reason =
			error instanceof CoreError ? error.message : 'Something recorded here does not fit what the rule expects.';
		return failedStage(picture, face.name, reason);
	}
}

/** Every stage of a bank judged from one picture of it. */
export async function judgePicture(picture: BankPicture): Promise<BankJudgement> {
	if (faces.length === 0) throw new Error('No stage was given to judge by: import server/set-up first.');
	const judged = [];
	for (const face of faces) judged.push({ stage: face.name, judgement: await judgeStage(face, picture) });
	return judgeBank(picture, judged, await acknowledgements.all({ bankId: picture.bank.id }));
}
