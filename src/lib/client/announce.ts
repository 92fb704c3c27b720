import { toast } from 'svelte-sonner';
import { plainRefusal } from '$lib/input/plain-refusal';
import { ApiProblem } from './api';

const words = (error: unknown) =>
	error instanceof ApiProblem
		? plainRefusal(
				[
					error.message,
					...Object.entries(error.fields).map(([path, message]) =>
						message.includes(path.split('.').pop()!) ? message : `${path} ${message}`
					)
				].join(' ')
			)
		: 'Something went wrong in this page. Reload it; what was stored is safe.';

/** Tells a person that something was done, with a way back when there is one. */
export function announce(message: string, undo?: () => void): void {
	toast(message, undo ? { action: { label: 'Undo', onClick: undo }, duration: 10_000 } : {});
}

/** Says why something was not done. */
export const refused = (error: unknown): void => void toast.error(words(error), { duration: 12_000 });

/**
 * Runs something that may be refused and says why; true when it was done.
 * @param beside is given what was refused of each field, to stand there too; nothing where it was no field's fault
 */
export async function attempt(
	work: () => Promise<unknown>,
	beside?: (fields: Record<string, string>) => void
): Promise<boolean> {
	try {
		await work();
		return true;
	} catch (error) {
		beside?.(error instanceof ApiProblem ? error.fields : {});
		refused(error);
		return false;
	}
}
