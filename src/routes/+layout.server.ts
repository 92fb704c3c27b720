import { isAnyLive } from '$lib/server/live/live-service';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals, depends }) => {
	depends('live:open');
	return { settings: locals.settings, isLive: await isAnyLive() };
};
