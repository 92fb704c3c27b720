import { describe, expect, it } from 'vitest';
import { judgeDelivery, type ArrivedCell } from '.';
import { otherChemistryOf } from '../../foundation/reading';

describe('cells of another chemistry than was said', () => {
	it.each([
		['LFP', [3.95, 3.94, 3.96, 3.95], 'NMC'],
		// Lithium titanate rests below the limit of LFP.
		['LFP', [2.3, 2.31, 2.29], 'LTO'],
		['LFP', [3.95, 3.95], null],
		['LFP', [3.95, 3.94, 3.3], null],
		['LFP', [3.95, 3.7, 3.95], null],
		// What no chemistry has.
		['LFP', [5.2, 5.2, 5.2], null],
		['NMC', [3.7, 3.71, 3.7], null]
	] as const)('%s at %j: %s', (chemistry, volts, other) => expect(otherChemistryOf(chemistry, volts)).toBe(other));

	const cells = (volts: number[]) =>
		volts.map((restVoltageV, i): ArrivedCell => ({
			id: i + 1,
			label: `X-${i + 1}`,
			restVoltageV,
			restVoltageSdV: 0.002,
			acResistanceMohm: 0.2,
			acResistanceSdMohm: 0.004
		}));
	const judge = (volts: number[], chemistryKnown = false) =>
		judgeDelivery(cells(volts), { chemistry: 'LFP', restS: 86_400, ratedResistanceMohm: null, chemistryKnown })
			.verdicts;
	it('are named by both, stopped, and not called overcharged one by one', () => {
		const verdicts = judge([3.95, 3.94, 3.96, 3.95]);
		expect(verdicts.map((v) => v.code)).not.toContain('overcharged');
		const [said] = verdicts.filter((v) => v.code === 'chemistry-doubted');
		expect(said).toMatchObject({ warmth: 'stop', facts: { named: 'LFP', or: 'NMC' } });
		expect(said!.members).toHaveLength(4);
		expect(said!.title).toContain('NMC');
	});
	it('by a code that says LFP they are what they read: overcharged, each of them', () =>
		expect(
			judge([3.95, 3.94, 3.96], true)
				.map((v) => v.code)
				.filter((code) => /over|chem/.test(code))
		).toEqual(['overcharged', 'overcharged', 'overcharged']));
	it('one overcharged cell among sound ones stays what it is', () =>
		expect(judge([3.29, 3.3, 3.29, 3.95]).map((v) => v.code)).toContain('overcharged'));
});
