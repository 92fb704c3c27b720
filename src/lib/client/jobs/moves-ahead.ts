import type { moveCharge, Vessels } from '$lib/core/balance/vessels';

export type Moved = ReturnType<typeof moveCharge>;
export type How = Parameters<typeof moveCharge> extends [Vessels, ...infer Rest] ? Rest : never;

export interface MovesAhead {
	/** The next state; null where another move, or something else, has been begun meanwhile. */
	move(vessels: Vessels, ...how: How): Promise<Moved | null>;
	/** Whatever is under way counts no more. */
	forget(): void;
}

/** More moves are asked for when so few are left: a frame does not wait for them. */
const LEFT = 4;

/**
 * One move after another, read ahead: while each goes on from the state that the last one gave, in the same way, it is at hand already.
 * @param ask for some moves in a row, the last of them where a cell stops it
 */
export function movesAhead(ask: (vessels: Vessels, how: How) => Promise<Moved[]>): MovesAhead {
	let turn = 0;
	let ready: Moved[] = [];
	let coming: Promise<Moved[]> | null = null;
	let last: Vessels | null = null;
	let lastHow = '';

	function forget() {
		turn++;
		[ready, coming, last] = [[], null, null];
	}
	return {
		async move(vessels, ...how) {
			const asked = JSON.stringify(how);
			if (vessels !== last || asked !== lastHow) forget();
			lastHow = asked;
			const mine = ++turn;
			if (ready.length === 0) {
				const moves = await (coming ?? ask(vessels, how));
				if (mine !== turn) return null;
				[ready, coming] = [moves, null];
			}
			const moved = ready.shift()!;
			last = moved.vessels;
			const furthest = ready.at(-1);
			if (furthest && ready.length <= LEFT && !furthest.stop) coming ??= ask(furthest.vessels, how);
			return moved;
		},
		forget
	};
}
