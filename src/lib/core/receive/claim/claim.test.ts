import { describe, expect, it } from 'vitest';
import type { Subject } from '../../foundation/verdicts';
import { claimOf, judgeClaim, type ClaimTerms, type ClaimedCell } from '.';

const delivery: Subject = { kind: 'delivery', id: 1, label: 'Crate' };
const terms: ClaimTerms = { cellPrice: 90, soldAh: 280, currency: '€', claimUntil: '2026-12-04' };
const tested = (id: number, outcome: 'short' | 'meets' | 'unsure', capacityAh: number, sdAh = 2): ClaimedCell => ({
	id,
	label: `X-${id}`,
	stopped: false,
	capacity: { outcome, capacityAh, sdAh, wantedAh: 280 }
});
const cells: ClaimedCell[] = [
	tested(1, 'meets', 285),
	tested(2, 'short', 270),
	tested(3, 'unsure', 279),
	{ id: 4, label: 'X-4', stopped: false, capacity: null },
	{ ...tested(5, 'short', 200), stopped: true }
];

describe('a delivery summed up', () => {
	it('by hand: 10 Ah short less 1.645 × 2 are sure, and a cell that must not be used is worth its price', () => {
		const claim = claimOf(cells, terms);
		expect(claim).toMatchObject({ good: 1, toReturn: 2, stopped: 1, cannotTell: 1, untested: 1 });
		expect(claim.shortAh).toBeCloseTo(10 - 3.29, 9);
		expect(claim.worth).toBeCloseTo(((10 - 3.29) / 280) * 90 + 90, 9);
		expect(claim.byCell.get(3)).toBeNull();
		expect(claim.byCell.get(5)).toEqual({ why: 'stop', shortAh: 0 });
	});
	it('without a price it has no worth; who cannot be told is never claimed', () => {
		expect(claimOf(cells, { ...terms, cellPrice: null }).worth).toBeNull();
		expect(claimOf([tested(1, 'unsure', 240, 30)], terms)).toMatchObject({ shortAh: 0, worth: 0, toReturn: 0 });
	});
	it('in one sentence', () => {
		const [verdict] = judgeClaim(claimOf(cells, terms), terms, delivery);
		expect(verdict!.title).toBe('1 good, 2 to return, 1 cannot be told, 1 not tested; worth 92 €');
		const onlyShort = cells.filter((cell) => !cell.stopped);
		expect(judgeClaim(claimOf(onlyShort, terms), terms, delivery)[0]!.title).toBe(
			'1 good, 1 to return, 1 cannot be told, 1 not tested; worth 2 € in missing charge'
		);
		expect(judgeClaim(claimOf([cells[3]!], terms), terms, delivery)).toEqual([]);
	});
});
