import { expose } from 'comlink';
import { moveCharge } from '$lib/core/vessels';

/** What the page may ask of the worker that moves charge through a string of vessels. */
export interface VesselsWorker {
	move: typeof moveCharge;
}

const worker: VesselsWorker = { move: moveCharge };

expose(worker);
