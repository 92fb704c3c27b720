import 'reflect-metadata';
import { DATABASE_AWAY, isDatabaseAway } from '../db/away';
import { ServiceError } from '../errors';
import { judgeAndKeep } from './refresh';

/** What the thread answers: the kind of an error is lost on the way. */
export type JudgedOnThread =
	{ kind: 'done' } | { kind: 'refused'; status: ServiceError['status']; code: string; message: string };

/** Server-side thread: the id of a bank in; its judgement goes into the database. */
export default async (bankId: number): Promise<JudgedOnThread> => {
	try {
		await judgeAndKeep(bankId);
		return { kind: 'done' };
	} catch (error) {
		if (isDatabaseAway(error)) return { kind: 'refused', status: 503, code: 'database-away', message: DATABASE_AWAY };
		if (!(error instanceof ServiceError)) throw error;
		return { kind: 'refused', status: error.status, code: error.code, message: error.message };
	}
};
