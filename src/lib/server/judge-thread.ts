import 'reflect-metadata';
import { passingTrouble } from './db/away';
import { ServiceError } from './errors';
import { stepBack } from '$lib/workers/step-back';
import type { JudgedOnThread } from './judgements/elsewhere';
import { judgeAndKeep } from './judgements/refresh';
import './set-up';

stepBack('brief');

/** Server-side thread: the id of a bank in; its judgement goes into the database. */
export default async (bankId: number): Promise<JudgedOnThread> => {
	try {
		await judgeAndKeep(bankId);
		return { kind: 'done' };
	} catch (error) {
		const trouble = passingTrouble(error);
		if (trouble) return { kind: 'refused', status: 503, ...trouble };
		if (!(error instanceof ServiceError)) throw error;
		return { kind: 'refused', status: error.status, code: error.code, message: error.message };
	}
};
