import { describe, expect, it } from 'vitest';
import { CoreError } from '../../foundation/errors';
import { WHOLE_BANK } from '../../foundation/verdicts';
import { checkJoining, currentsJoined, firstCurrents, type JoinInput } from './join-check';

const item = (id: string, restVoltageV: number, more: object = {}) => ({ id, restVoltageV, capacityAh: 280, ...more });
const check = (items: JoinInput['items'], more: Partial<JoinInput> = {}) =>
	checkJoining({ chemistry: 'LFP', linkOhm: 0.0002, ...more, items }, WHOLE_BANK);
const codes = (items: JoinInput['items'], more: Partial<JoinInput> = {}) =>
	check(items, more).verdicts.map((v) => v.code);

describe('joined in parallel', () => {
	it('by hand: two of 1 mΩ with 60 mV between them drive 30 A, and the sum of all currents is nothing', () => {
		const [a, b] = firstCurrents([3.33, 3.27], [0.001, 0.001]);
		expect(a).toBeCloseTo(30, 9);
		expect(a! + b!).toBeCloseTo(0, 9);
		expect(firstCurrents([3.4, 3.3, 3.3], [0.001, 0.001, 0.001])[0]).toBeCloseTo(66.7, 1);
	});
	it('its interval holds that of the hand where the resistance is known, and is wide where it is not', () => {
		const known = check([
			item('a', 3.33, { resistanceOhm: 0.0008 }),
			item('b', 3.27, { resistanceOhm: 0.0008 })
		]).peakA!;
		expect(known.likely).toBeCloseTo(30, 6);
		expect(known.low95).toBeLessThan(30);
		expect(known.high95).toBeGreaterThan(30);
		const guessed = check([item('a', 3.33), item('b', 3.27)]).peakA!;
		expect(guessed.high95 / guessed.low95).toBeGreaterThan(known.high95 / known.low95);
	});
	it('a figure of a 1 kHz meter is not taken for that of direct current: 0.56 mΩ read are 0.8 mΩ of the first instant', () => {
		const volts = [3.33, 3.27];
		const read = check(volts.map((v, i) => item(`${i}`, v, { acResistanceMohm: 0.56 }))).peakA!;
		const known = check(volts.map((v, i) => item(`${i}`, v, { resistanceOhm: 0.0008 }))).peakA!;
		expect(read.likely).toBeCloseTo(known.likely, 6);
		expect(() => check(volts.map((v, i) => item(`${i}`, v, { acResistanceMohm: 0 })))).toThrow(/acResistanceMohm/);
	});
	it('cells alike on the plateau may be joined; one at the steep end may not', () => {
		expect(codes([item('a', 3.33), item('b', 3.329), item('c', 3.331)])).toEqual(['join-checked']);
		const steep = check([item('a', 3.33), item('b', 3.33), item('c', 3.02)]);
		expect(steep.verdicts[0]).toMatchObject({ code: 'join-refused', subject: { id: 'c' } });
		expect(steep.order.at(-1)).toBe('c');
	});
	it('a link that carries less refuses what the cells would bear', () => {
		const pair = [item('a', 3.34, { resistanceOhm: 0.001 }), item('b', 3.28, { resistanceOhm: 0.001 })];
		expect(codes(pair)).toEqual(['join-checked']);
		expect(codes(pair, { linkRatingA: 20 })).toEqual(['join-refused']);
	});
	it.each([
		[[item('a', 3.3), item('b', -3.3)], ['join-polarity']],
		[[item('a', 3.3), item('b', 13.2)], ['not-one-cell']],
		[[item('a', 13.2, { cellsInSeries: 4 }), item('b', 13.2, { cellsInSeries: 4 })], ['join-checked']],
		[
			[item('a', 13.2, { cellsInSeries: 4 }), item('b', 3.3)],
			['join-unlike', 'join-refused']
		],
		[[item('a', 3.3), item('b', 2.2)], ['deep-discharged']]
	])('%j → %j', (items, expected) => expect(codes(items)).toEqual(expected));
	it.each([
		[2.3, 'low'],
		[1.5, 'ruined'],
		[0.2, 'dead']
	])('two alike at %s V are not joined at all: %s', (volts, level) => {
		const { verdicts } = check([item('a', volts), item('b', volts)]);
		expect(verdicts.map((v) => [v.code, v.warmth, v.facts.level])).toEqual([
			['deep-discharged', 'stop', level],
			['deep-discharged', 'stop', level]
		]);
	});
	it('two alike above a full cell are never a calm answer', () =>
		expect(codes([item('a', 3.95), item('b', 3.95)])).toEqual(['overcharged', 'overcharged']));
	it('a whole battery is named as one, and judged by what one of its cells reads', () => {
		const four = { cellsInSeries: 4 };
		const { verdicts } = check([item('a', 8.8, four), item('b', 13.2, four)]);
		expect(verdicts[0]).toMatchObject({ code: 'deep-discharged', subject: { kind: 'battery', id: 'a' } });
		expect(verdicts[0]!.facts.restVoltageV).toMatchObject({ value: 2.2 });
	});
	it('0.000 V is never charged, and so is not told how far to charge it', () => {
		const { verdicts } = check([item('a', 3.3), item('b', 0)]);
		expect(verdicts).toMatchObject([{ code: 'deep-discharged', warmth: 'stop', facts: { level: 'dead' } }]);
		expect(verdicts[0]!.next).not.toMatch(/within/);
	});
	it('330 V is a question and no current', () => {
		const { verdicts, peakA } = check([item('a', 3.3), item('b', 330)]);
		expect(verdicts).toMatchObject([{ code: 'not-one-cell', warmth: 'look' }]);
		expect(peakA).toBeNull();
		expect(check([item('a', 3.3), item('b', -3.3)]).peakA).not.toBeNull();
	});
	it('of two, each is apart from the other, not from what lies between them', () => {
		const { verdicts } = check([item('a', 3.33), item('b', 3.03)], { linkRatingA: 5 });
		expect(verdicts[0]!.facts.differenceV).toBeCloseTo(0.3, 9);
		expect(check([item('a', 3.33), item('b', 3.33), item('c', 3.03)]).verdicts[0]!.facts.differenceV).toBeCloseTo(
			0.3,
			9
		);
	});
	it('the current of the first instant is gone within the hour, and says so', () => {
		const { verdicts, peakA } = check([item('a', 3.34), item('b', 3.29)]);
		const { firstHourA } = verdicts[0]!.facts as { firstHourA: number };
		expect(firstHourA).toBeGreaterThan(0);
		expect(firstHourA).toBeLessThan(peakA!.likely / 2);
		expect(verdicts[0]!.finding).toContain('on average over the first hour');
	});
	it('45 and 60 % joined for a day: about a quarter of the difference moves, the rest stays (models §4)', () => {
		// 3.292 and 3.303 V rest at 45 and 60 %: 42 Ah apart in 280, 21 Ah to meet.
		const { movedAhInDay } = check([item('a', 3.292), item('b', 3.303)]);
		expect(movedAhInDay).toBeGreaterThan(2);
		expect(movedAhInDay).toBeLessThan(12);
	});
	it('refuses one alone, the same twice, half a cell', () => {
		expect(() => check([item('a', 3.3)])).toThrow(/two or more/);
		expect(() => check([item('a', 3.3), item('a', 3.3)])).toThrow(/there twice/);
		expect(() => check([item('a', 3.3), item('b', 3.3, { cellsInSeries: 0 })])).toThrow(/cellsInSeries/);
	});
});

describe('what flows once they are joined', () => {
	const joined = (...volts: number[]) =>
		currentsJoined({
			chemistry: 'LFP',
			linkOhm: 0.0005,
			items: volts.map((restVoltageV, id) => ({ id, restVoltageV, capacityAh: 100, resistanceOhm: 0.0005 }))
		});
	it('begins with the difference over both resistances and links, and falls', () => {
		// 30 mV across twice 0.5 mΩ and twice 0.5 mΩ of link.
		const { firstA, falls } = joined(3.3, 3.33);
		expect(firstA[0]).toBeCloseTo(-15, 6);
		expect(firstA[1]).toBeCloseTo(15, 6);
		expect(falls[0]!.largestA).toBeLessThan(15);
		for (const [before, after] of falls.slice(1).map((f, i) => [falls[i]!, f] as const))
			expect(after.largestA).toBeLessThanOrEqual(before.largestA * 1.05);
		expect(falls.at(-1)!.largestA).toBeLessThan(2);
	});
	it('of one the wrong way round only the first instant is told', () => {
		expect(joined(3.3, -3.3)).toMatchObject({ falls: [] });
		expect(() => joined(3.3)).toThrow(CoreError);
	});
});
