import { defineHooks, type HooksByKind } from '../records/hooks';
import { refuseRemovalUnderRun, STANDS_ON } from './open-runs';

/** What a live run stands on stays while it runs. */
export const LIVE_HOOKS: HooksByKind = Object.fromEntries(
	Object.keys(STANDS_ON).map((kind) => [
		kind,
		defineHooks({ checkRemoval: ({ id }) => refuseRemovalUnderRun(kind, id) })
	])
);
