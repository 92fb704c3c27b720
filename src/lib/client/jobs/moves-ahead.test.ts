import { describe, expect, it, vi } from 'vitest';
import { createVessels, moveCharge, pour } from '$lib/core/balance/vessels';
import { movesAhead, type How, type Moved } from './moves-ahead';

const how = (ah: number): How => [ah, 'LFP'];
/** Six moves in a row, fewer where one stops. */
const asker = () =>
	vi.fn(async (vessels: Moved['vessels'], asked: How) => {
		const moves: Moved[] = [];
		for (let now = vessels; moves.length < 6 && !moves.at(-1)?.stop; now = moves.at(-1)!.vessels)
			moves.push(moveCharge(now, ...asked));
		return moves;
	});

describe('moves read ahead', () => {
	it('gives what each move by itself would, with one question for many', async () => {
		const ask = asker();
		const { move } = movesAhead(ask);
		let now = createVessels([100, 96], 'half');
		let alone = now;
		for (let i = 0; i < 12; i++) {
			now = (await move(now, ...how(1)))!.vessels;
			alone = moveCharge(alone, 1, 'LFP').vessels;
			expect(now.chargeAh).toEqual(alone.chargeAh);
		}
		expect(ask.mock.calls.length).toBeLessThan(5);
	});
	it('begins anew from a state that somebody changed, and in another way', async () => {
		const { move } = movesAhead(asker());
		let now = createVessels([100, 96], 'half');
		now = (await move(now, ...how(2)))!.vessels;
		now = (await move(pour(now, 0, 10), ...how(2)))!.vessels;
		expect(now.chargeAh).toEqual([62, 52]);
		now = (await move(now, ...how(-2)))!.vessels;
		expect(now.chargeAh).toEqual([60, 50]);
	});
	it('ends where a cell stops it, and asks for nothing beyond', async () => {
		const ask = asker();
		const { move } = movesAhead(ask);
		let moved: Moved | null = { vessels: createVessels([100, 96], 'half'), movedAh: 0, stop: null };
		let moves = 0;
		while (!moved!.stop) {
			moved = await move(moved!.vessels, ...how(10));
			moves++;
		}
		expect([moves, moved!.stop]).toEqual([5, { cell: 1, end: 'full' }]);
		expect(ask).toHaveBeenCalledTimes(1);
	});
	it('hands back nothing for what was overtaken', async () => {
		const { move, forget } = movesAhead(asker());
		const now = createVessels([100, 96], 'half');
		const overtaken = move(now, ...how(1));
		forget();
		expect(await overtaken).toBeNull();
		const [first, second] = await Promise.all([move(now, ...how(1)), move(now, ...how(3))]);
		expect(first).toBeNull();
		expect(second!.vessels.chargeAh).toEqual([51, 51]);
	});
});
