import { describe, expect, it } from 'vitest';
import { unmetWords, judgeProgress, type ChargeReading, type ChargeTargets } from '../../foundation/parallel-charge';
import { chargeVerdicts } from './judge-charge';

describe('a running charge', () => {
	const targets: ChargeTargets = {
		setV: 3.65,
		setA: 20,
		tailA: 4,
		toDeliverAh: { low: 320, high: 480 },
		charge: { chemistry: 'LFP', totalAh: 800, cells: 4, setV: 3.65, supplyA: 20, leadOhm: 0.005, tailA: 4 }
	};
	const at = (
		hours: number,
		supplyA: number,
		cellV: number | null = 3.35,
		supplyV: number | null = 3.65
	): ChargeReading => ({ timeS: hours * 3600, supplyV, supplyA, cellV, deliveredAh: null });
	it('counts from Ah at full current', () => {
		const progress = judgeProgress([at(0, 20), at(10, 20)], targets);
		expect(progress).toMatchObject({ phase: 'constant-current', deliveredAh: 200, done: false });
		// 120 to 280 Ah at 20 A are 6 and 14 h; the taper and the half hour of its tail come to it.
		const { low, high } = progress.remainingS!;
		expect(low / 3600).toBeGreaterThan(5.8);
		expect(low / 3600).toBeLessThan(7);
		expect(high / 3600).toBeGreaterThan(14.5);
		expect(high / 3600).toBeLessThan(17);
	});
	it('calls low current below the set voltage lead drop, and gives the resistance', () => {
		const progress = judgeProgress([at(0, 7, 3.3), at(1, 7, 3.3)], targets);
		expect(progress.phase).toBe('lead-limited');
		expect(progress.leadOhm).toBeCloseTo(0.05, 9);
	});
	it('reads the end off a taper that halves every hour: 16 → 8 A, tail 4 A an hour on', () => {
		const progress = judgeProgress([at(20, 16, 3.64), at(21, 8, 3.645)], targets);
		expect(progress.phase).toBe('taper');
		expect(progress.remainingS!.low / 0.7).toBeCloseTo(3600, 3);
	});
	it('is done only after 30 minutes of tail with the meter agreeing', () => {
		const tail = [at(25, 3, 3.65), at(25.3, 2.5, 3.65)];
		expect(judgeProgress(tail, targets).unmet.map(unmetWords)).toEqual(['current below 4.0 A for 30 minutes']);
		expect(judgeProgress([...tail, at(25.6, 2, 3.65)], targets).done).toBe(true);
		expect(judgeProgress([...tail, at(25.6, 2, 3.6)], targets).unmet.map(unmetWords)[0]).toMatch(
			/cells at .* \(now 3\.600 V\)/
		);
		expect(judgeProgress([...tail, at(25.6, 2, null)], targets).unmet).toEqual([{ wanted: 'meter-at-cells' }]);
	});
	it('is done, and names leakage, when the current has stood still above the tail for two hours', () => {
		const at = (timeS: number, supplyA: number) => ({ timeS, supplyA, supplyV: 3.65, cellV: 3.645, deliveredAh: null });
		const flat = judgeProgress([at(0, 20), at(3600, 6.1), at(3600 + 7200, 6)], targets);
		expect(flat).toMatchObject({ done: true, flatA: 6, unmet: [] });
		expect(chargeVerdicts(flat)[0]).toMatchObject({ code: 'balance-done', facts: { flatA: 6 } });
		// Still falling, or not for two hours yet, or far from the set voltage: not done.
		expect(judgeProgress([at(0, 20), at(3600, 6.6), at(3600 + 7200, 6)], targets).done).toBe(false);
		expect(judgeProgress([at(0, 20), at(3600, 6.1), at(3600 + 7000, 6)], targets).done).toBe(false);
		const low = [at(0, 20), at(3600, 6.1), at(3600 + 7200, 6)].map((r) => ({ ...r, cellV: 3.5 }));
		expect(judgeProgress(low, targets)).toMatchObject({ done: false, flatA: null });
	});
	it('a supply that stands at 0 V and 0 A is off: no tail, however long', () => {
		const off = [at(25, 3, 3.65), at(25.5, 0, 3.45, 0), at(26.5, 0, 3.4, 0)];
		expect(judgeProgress(off, targets)).toMatchObject({ phase: 'off', done: false, remainingS: null });
		// Back at its voltage with no current to speak of: the half hour begins then.
		const back = [...off, at(27, 1, 3.65), at(27.2, 1, 3.65)];
		expect(judgeProgress(back, targets).done).toBe(false);
		expect(judgeProgress([...back, at(27.6, 1, 3.65)], targets).done).toBe(true);
	});
	it('has nothing to say before the first reading and refuses times out of order', () => {
		expect(judgeProgress([], targets).phase).toBe('not-started');
		expect(() => judgeProgress([at(2, 5), at(1, 5)], targets)).toThrow(/rising times/);
	});
});
