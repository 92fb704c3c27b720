import { CoreError } from '$lib/core/foundation/errors';

/** What a server thread answers: its result, or why the input was refused. An error's own kind is lost on the way. */
export type ThreadAnswer<Result> =
	{ kind: 'result'; result: Result } | { kind: 'refused'; code: string; path: string; message: string };

/** The work's result, or its refusal. */
export function answered<Result>(work: () => Result): ThreadAnswer<Result> {
	try {
		return { kind: 'result', result: work() };
	} catch (error) {
		if (!(error instanceof CoreError)) throw error;
		return { kind: 'refused', code: error.code, path: error.path, message: error.message };
	}
}
