import { wrap, type Remote } from 'comlink';
import type { VesselsWorker } from '$lib/workers/vessels-worker';
import { movesAhead, type MovesAhead } from './moves-ahead';

export interface VesselsJob extends MovesAhead {
	end(): void;
}

const AT_ONCE = 12;

/** Moves charge in a worker of its own, begun with the first move. */
export function vesselsJob(): VesselsJob {
	let worker: Worker | null = null;
	let remote: Remote<VesselsWorker> | null = null;
	const moves = movesAhead((vessels, how) => {
		worker ??= new Worker(new URL('../../workers/vessels-worker.ts', import.meta.url), { type: 'module' });
		remote ??= wrap<VesselsWorker>(worker);
		return remote.moves(AT_ONCE, vessels, ...how);
	});
	return {
		...moves,
		end() {
			moves.forget();
			worker?.terminate();
			worker = remote = null;
		}
	};
}
