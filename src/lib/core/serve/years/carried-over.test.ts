import { describe, expect, it } from 'vitest';
import { driftChange, snapshotBounds, type Passings } from '../../foundation/snapshot';
import { judgeCheck, type BatteryContext, type CountedCheck } from '.';

const battery: BatteryContext = { chemistry: 'LFP', groupAh: 280, meterSdV: 0.002 };
const volts = [3.6, 3.55, 3.5, 3.38];
const snapshot = (groupVoltagesV: (number | null)[]) => ({ ...battery, groupVoltagesV, currentA: 11 });
/** Counted: the last group passed 3.42 V six ampere-hours after the others. */
const passings: Passings = {
	voltageV: 3.42,
	endAh: 80,
	groups: [70, 70.2, 70.5, 76.2].map((ah) => ({ ah, sdAh: 0.4 }))
};
const anchor: CountedCheck = { checkedAt: '2025-05-03T10:00:00Z', currentA: 11, groupVoltagesV: volts, passings };
const judged = (groupVoltagesV: (number | null)[], counted: CountedCheck | null) =>
	judgeCheck({ context: 'full', currentA: 11, groupVoltagesV, anchor: counted }, battery);
const width = (i: { low95: number; high95: number } | null) => i!.high95 - i!.low95;

describe('how far groups have moved', () => {
	it('is known better than where they stand: what the curve gets wrong is wrong both times', () => {
		const now = [3.6, 3.55, 3.5, 3.375];
		const moved = driftChange(snapshot(volts), snapshot(now));
		expect(width(moved[3]!)).toBeLessThan(width(snapshotBounds(snapshot(now)).driftAh[3]!));
		expect(moved[3]!.likely).toBeLessThan(0);
	});
	it('unmoved volts are no movement, within the meter', () => {
		for (const moved of driftChange(snapshot(volts), snapshot(volts))) {
			expect(moved!.low95).toBeLessThan(0);
			expect(moved!.high95).toBeGreaterThan(0);
		}
	});
	it('a group not read both times is not told, and two must be', () => {
		expect(driftChange(snapshot([3.6, 3.5, null, 3.4]), snapshot([3.6, 3.5, 3.5, 3.4]))[2]).toBeNull();
		expect(() => driftChange(snapshot([3.6, null, null, null]), snapshot(volts))).toThrow(/read both times/);
	});
});

describe('a count carried over', () => {
	it('narrows a later check of the same volts, and says of which day it is', () => {
		const [aided, alone] = [judged(volts, anchor), judged(volts, null)];
		expect(width(aided.driftAh[3]!)).toBeLessThan(width(alone.driftAh[3]!));
		expect(aided.driftAh[3]!.low95).toBeLessThan(-5.9);
		expect(aided.driftAh[3]!.high95).toBeGreaterThan(-5.97);
		expect(aided.verdicts[0]!.facts.learntOn).toBe('2025-05-03');
		expect(alone.verdicts[0]!.facts.learntOn).toBeNull();
	});
	it('of another number of groups, or of none that passed, is let go', () => {
		const other = { ...anchor, groupVoltagesV: [3.6, 3.5] };
		expect(judged(volts, other).driftAh).toEqual(judged(volts, null).driftAh);
		const none = { ...anchor, passings: { ...passings, groups: passings.groups.map(() => null) } };
		expect(judged(volts, none).driftAh).toEqual(judged(volts, null).driftAh);
	});
});
