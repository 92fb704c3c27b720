import { isAnyLive } from '$lib/server/live/live-service';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals, depends }) => {
	depends('live:open');
	// Without a database the page's own load says so, within this frame.
	return { settings: locals.settings, isLive: await isAnyLive().catch(() => false) };
};
