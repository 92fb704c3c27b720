import { wrap, type Remote } from 'comlink';
import type { moveCharge } from '$lib/core/vessels';
import type { VesselsWorker } from '$lib/workers/vessels-worker';

type Move = typeof moveCharge;

export interface VesselsJob {
	/** The next state; null where another move, or something else, has been begun meanwhile. */
	move(...asked: Parameters<Move>): Promise<ReturnType<Move> | null>;
	/** Whatever is under way counts no more. */
	forget(): void;
	end(): void;
}

/** Moves charge in a worker of its own, begun with the first move. */
export function vesselsJob(): VesselsJob {
	let worker: Worker | null = null;
	let remote: Remote<VesselsWorker> | null = null;
	let turn = 0;
	return {
		async move(...asked) {
			const mine = ++turn;
			worker ??= new Worker(new URL('../workers/vessels-worker.ts', import.meta.url), { type: 'module' });
			remote ??= wrap<VesselsWorker>(worker);
			const moved = await remote.move(...asked);
			return mine === turn ? moved : null;
		},
		forget: () => void turn++,
		end() {
			turn++;
			worker?.terminate();
			worker = remote = null;
		}
	};
}
