import { describe, expect, it } from 'vitest';
import { toleranceFactor, whatSampleSays, type SampledCell } from '.';

const cell = (capacityAh: number, outcome: SampledCell['outcome'] = 'meets'): SampledCell => ({
	capacityAh,
	outcome,
	sdAh: 2
});

describe('what a sample says of its lot', () => {
	it('five good of sixteen leave up to six below rating', () => {
		// C(10,5)/C(16,5) = 252/4368 = 5.8 %, with six bad; with seven 126/4368 = 2.9 %.
		const says = whatSampleSays(
			16,
			[281, 282, 283, 284, 285].map((c) => cell(c))
		);
		expect(says).toMatchObject({ all: 16, tested: 5, below: 0, undecided: 0, mostBelow: 6 });
	});
	it('an undecided cell may be below rating', () => {
		const good = whatSampleSays(
			16,
			[281, 282, 283].map((c) => cell(c))
		);
		const doubtful = whatSampleSays(16, [cell(281), cell(282), cell(279, 'unsure')]);
		expect(doubtful.mostBelow).toBeGreaterThan(good.mostBelow);
		expect(doubtful).toMatchObject({ undecided: 1, neededForOne: null });
	});
	it('knows all once all are tested', () => {
		const says = whatSampleSays(4, [cell(281), cell(282), cell(270, 'short'), cell(284)]);
		expect(says).toMatchObject({ below: 1, mostBelow: 1 });
	});
	it('nine in ten hold the tolerance limit, and the tester’s gain goes beside it', () => {
		const ah = [280, 282, 284, 286, 288];
		const sd = Math.sqrt(10);
		const exact = { ...cell(0), sdAh: 0 };
		const at = (sdAh: number) =>
			whatSampleSays(
				16,
				ah.map((capacityAh) => ({ ...exact, capacityAh, sdAh }))
			).nineInTenAh!;
		expect(at(0)).toBeCloseTo(284 - toleranceFactor(5, 0.9, 0.95) * sd, 9);
		expect(at(3)).toBeCloseTo(284 - Math.hypot(toleranceFactor(5, 0.9, 0.95) * sd, 1.645 * 3), 9);
	});
	it('says nothing of the rest by one cell or none', () => {
		expect(whatSampleSays(16, []).nineInTenAh).toBeNull();
		expect(whatSampleSays(16, []).mostBelow).toBe(16);
		expect(whatSampleSays(16, [cell(281)]).nineInTenAh).toBeNull();
	});
});
