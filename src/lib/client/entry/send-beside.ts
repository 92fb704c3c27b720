import { refused } from './announce';
import { ApiProblem } from '../api/api';

/**
 * Sends something and gives back what was refused, to stand beside its fields; what belongs to no field is said as a message.
 * @returns field → why; null: it was taken
 */
export async function sendBeside(work: () => Promise<unknown>): Promise<Record<string, string> | null> {
	try {
		await work();
		return null;
	} catch (error) {
		const fields = error instanceof ApiProblem ? error.fields : {};
		if (Object.keys(fields).length === 0) refused(error);
		return fields;
	}
}
