import { invalidateAll } from '$app/navigation';
import { navigating } from '$app/state';

/** Brings what is new. A page that is just being opened is waited for: asked for meanwhile, it would not open. */
export async function lookAgain(): Promise<void> {
	await navigating.complete?.catch(() => undefined);
	await invalidateAll();
}
