import { toast } from 'svelte-sonner';
import { plainRefusal } from '$lib/input/plain-refusal';
import { ApiProblem } from '../api/api';
import { typedIsTaken } from './typed-stays';

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

/** Refusals that are shown: they end when something is done after all, and so do the drafts of what was sent. */
let refusals: (string | number)[] = [];
export function endRefusals(): void {
	for (const id of refusals) toast.dismiss(id);
	refusals = [];
	typedIsTaken();
}

/** Tells a person that something was done, with a way back when there is one; refusals before it are over. */
export function announce(message: string, undo?: () => void): void {
	endRefusals();
	toast(message, undo ? { action: { label: 'Undo', onClick: undo }, duration: 10_000 } : {});
}

/** Says why something was not done. */
export const refused = (error: unknown): void => void refusals.push(toast.error(words(error), { duration: 12_000 }));

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
		endRefusals();
		return true;
	} catch (error) {
		beside?.(error instanceof ApiProblem ? error.fields : {});
		refused(error);
		return false;
	}
}
