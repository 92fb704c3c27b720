import { expose } from 'comlink';
import { moveCharge } from '$lib/core/balance/vessels';

type Move = Parameters<typeof moveCharge>;
type Moved = ReturnType<typeof moveCharge>;

/** What the page may ask of the worker that moves charge through a string of vessels. */
export interface VesselsWorker {
	/** The same move so many times over, one after the other; fewer where a cell stops it. */
	moves(count: number, ...asked: Move): Moved[];
}

const worker: VesselsWorker = {
	moves(count, vessels, ...how) {
		const moves: Moved[] = [];
		let now = vessels;
		while (moves.length < count && !moves.at(-1)?.stop) {
			const moved = moveCharge(now, ...how);
			moves.push(moved);
			now = moved.vessels;
		}
		return moves;
	}
};

expose(worker);
