import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { normalDraw, seededRandom } from '../../foundation/statistics';
import { judgeBalanceLeads, leadVerdict, type BalanceLeadsInput } from '.';

/** Four cells of 3.30 V and a little: nodes 0, 3.300, 6.602, 9.901, 13.202 V. */
const cellsV = [3.3, 3.302, 3.299, 3.301];
const RIGHT = [0, 3.3, 6.602, 9.901, 13.202];
/** Lead 0 against battery positive: minus the whole battery. */
const PROVED = [-13.202, null, null, null, null];
const judged = (readingsV: (number | null)[], more: Partial<BalanceLeadsInput> = {}) =>
	judgeBalanceLeads({ series: 4, cells: { cellsV }, readingsV, ...more });
const first = (readingsV: (number | null)[], more: Partial<BalanceLeadsInput> = {}) => {
	const { code, leads, probability } = judged(readingsV, more).explanations[0]!;
	return { code, leads, sure: probability > 0.9 };
};

describe('one thing wrong with the leads of four cells', () => {
	it.each<[string, number[], number[], string]>([
		['as they should be', [0, 3.3, 6.602, 9.901, 13.202], [], 'right'],
		['2 and 3 exchanged', [0, 3.3, 9.901, 6.602, 13.202], [2, 3], 'exchanged'],
		['1 and 3 exchanged', [0, 9.901, 6.602, 3.3, 13.202], [1, 3], 'exchanged'],
		['0 and 1 exchanged', [3.3, 0, 6.602, 9.901, 13.202], [0, 1], 'exchanged'],
		['1 to 4 reversed', [0, 13.202, 9.901, 6.602, 3.3], [1, 2, 3, 4], 'block-reversed'],
		['2 open, plug out', [0, 3.3, 0.03, 9.901, 13.202], [2], 'open'],
		['2 open, drifting between its neighbours', [0, 3.3, 5.2, 9.901, 13.202], [2], 'open'],
		['3 on the node of 1', [0, 3.3, 6.602, 3.3, 13.202], [3], 'wrong-node'],
		['3 doubled with 2', [0, 3.3, 6.602, 6.602, 13.202], [2, 3], 'doubled'],
		['one node passed over', [0, 3.3, 3.3, 6.602, 9.901], [1, 2], 'doubled'],
		['the plug turned round', [13.202, 9.901, 6.602, 3.3, 0], [], 'polarity'],
		['the probes exchanged', [0, -3.3, -6.602, -9.901, -13.202], [], 'polarity'],
		['black on battery positive', [-13.202, -9.902, -6.6, -3.301, 0], [], 'polarity'],
		['cell 2 turned', [0, 3.3, -0.002, 3.297, 6.598], [1, 2], 'polarity']
	])('%s', (_, readings, leads, code) => {
		const answer = first(readings);
		expect(answer).toEqual({ code, leads, sure: true });
		// The plug goes in only when everything is right, and lead 0 has been proved against battery positive.
		expect(judged(readings).pass).toBe(false);
		if (code === 'right') expect(judged(readings, { positiveV: PROVED }).pass).toBe(true);
	});
	it('knows the same from a range of cell voltages, and from leads 1 to 4 alone', () => {
		const range = { cells: { low: 3.25, high: 3.35 } };
		expect(first([0, 3.3, 9.901, 6.602, 13.202], range)).toMatchObject({ code: 'exchanged', leads: [2, 3] });
		expect(judged(RIGHT, { ...range, positiveV: PROVED }).pass).toBe(true);
		expect(judged(RIGHT.slice(1), { positiveV: PROVED }).pass).toBe(true);
		expect(first([9.901, 6.602, 3.3, 13.202], range)).toMatchObject({ code: 'exchanged', leads: [1, 3] });
	});
});

describe('what is not known is not passed', () => {
	it('asks for lead 0 against battery positive: open it reads 0 V against negative, like a sound one', () => {
		for (const readings of [RIGHT, RIGHT.slice(1)]) {
			const { pass, next } = judged(readings);
			expect(pass).toBe(false);
			expect(next).toMatchObject({ lead: 0, against: 'positive' });
			expect(next!.expect).toMatchObject([
				{ code: 'right', voltageV: expect.closeTo(-13.2, 1) },
				{ code: 'open', voltageV: 0 }
			]);
			expect(leadVerdict(judged(readings))).toMatchObject({ code: 'leads-unclear', warmth: 'open' });
		}
		const open = judged(RIGHT, { positiveV: [0.004, null, null, null, null] });
		expect(open.pass).toBe(false);
		expect(open.explanations[0]).toMatchObject({ code: 'open', leads: [0] });
	});
	it('wants every lead read, and asks for the one that is missing', () => {
		const answer = judged([0, 3.3, null, 9.901, 13.202]);
		expect(answer).toMatchObject({ pass: false, unread: [2], next: { lead: 2, against: 'negative' } });
		expect(answer.explanations[0]!.code).toBe('right');
		// Exchanged with another it would show there; open or doubled it would not.
		expect(answer.next!.expect.map((e) => e.code)).toEqual(expect.arrayContaining(['right', 'open', 'doubled']));
		expect(answer.next!.expect.find((e) => e.code === 'right')!.voltageV).toBeCloseTo(6.602, 2);
	});
	it('of two missing neighbours cannot tell whether they are exchanged, and says which reading decides', () => {
		const { explanations, next } = judged([0, null, null, 9.901, 13.202]);
		expect(explanations.find((e) => e.code === 'exchanged')!.probability).toBeGreaterThan(0.005);
		expect([1, 2]).toContain(next!.lead);
	});
	it('tells open from “on battery negative” by one more reading, against battery positive', () => {
		// Lead 1 reads nothing: it floats, or it sits on node 0 with lead 0.
		const { explanations, next } = judged([0, 0.001, 6.602, 9.901, 13.202]);
		const codes = explanations.filter((e) => e.probability > 0.05).map((e) => e.code);
		expect(codes.sort()).toEqual(['doubled', 'open']);
		expect(next).toMatchObject({ lead: 1, against: 'positive' });
		expect(next!.expect.find((e) => e.code === 'open')!.voltageV).toBe(0);
		expect(next!.expect.find((e) => e.code === 'doubled')!.voltageV).toBeCloseTo(-13.2, 1);
	});
	it('is told by that reading', () => {
		const read = (positiveV: number) =>
			judged([0, 0.001, 6.602, 9.901, 13.202], { positiveV: [null, positiveV, null, null, null] }).explanations[0]!;
		expect(read(0.002)).toMatchObject({ code: 'open', leads: [1] });
		expect(read(0.002).probability).toBeGreaterThan(0.97);
		expect(read(-13.2)).toMatchObject({ code: 'doubled', leads: [0, 1] });
		expect(read(-13.2).probability).toBeGreaterThan(0.97);
	});
	it('cannot tell a lead two nodes down from a turned last cell, and asks against battery positive', () => {
		const { explanations, next } = judged([0, 3.3, 6.602, 9.901, 6.602]);
		const codes = explanations.filter((e) => e.probability > 0.05).map((e) => e.code);
		expect(codes).toEqual(['wrong-node', 'polarity']);
		// Lead 4 sits two cells below battery positive, or it is battery positive.
		expect(next).toMatchObject({ lead: 4, against: 'positive' });
		expect(next!.expect.find((e) => e.code === 'wrong-node')!.voltageV).toBeCloseTo(-6.6, 1);
		expect(next!.expect.find((e) => e.code === 'polarity')!.voltageV).toBeCloseTo(0, 1);
	});
	it('does not pass a reading that fits nothing', () => {
		for (const off of [0.4, -0.4]) {
			const readings = [...RIGHT];
			readings[2]! += off;
			const answer = judged(readings);
			expect(answer).toMatchObject({ pass: false, unexplained: 1 });
			expect(leadVerdict(answer).code).not.toBe('leads-right');
			expect(leadVerdict(answer).warmth).toBe('stop');
		}
	});
	it('is not sure of two things wrong at once', () => {
		const answer = judged([0, 9.901, 6.602, 3.3, 0.003]);
		expect(answer.pass).toBe(false);
		expect(leadVerdict(answer).warmth).toBe('stop');
	});
	it('says what nobody has read yet', () => {
		const answer = judged([null, null, null, null, null]);
		expect(answer.pass).toBe(false);
		expect(answer.explanations[0]!.code).toBe('right');
		expect(answer.next!.against).toBe('negative');
	});
});

describe('whatever is read', () => {
	const meter = fc.double({ min: 0.0005, max: 0.01, noNaN: true });
	it('gives probabilities that sum to 1, most probable first', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 9 }).chain((series) =>
					fc.record({
						series: fc.constant(series),
						readingsV: fc.array(fc.option(fc.double({ min: -80, max: 80, noNaN: true })), {
							minLength: series,
							maxLength: series + 1
						}),
						meterSdV: meter
					})
				),
				(input) => {
					const { explanations } = judgeBalanceLeads({ ...input, cells: { low: 3.2, high: 3.4 } });
					const sum = explanations.reduce((a, e) => a + e.probability, 0);
					expect(sum).toBeCloseTo(1, 9);
					expect(explanations.every((e, i) => i === 0 || e.probability <= explanations[i - 1]!.probability)).toBe(true);
				}
			),
			{ numRuns: 60 }
		);
	});
	it('passes a right plug and never one with two leads exchanged', () => {
		const random = seededRandom(8);
		for (let n = 0; n < 60; n++) {
			const series = 2 + Math.floor(random() * 15);
			const cells = Array.from({ length: series }, () => 3.28 + 0.04 * random());
			const nodes = cells.reduce((all, v) => [...all, all[all.length - 1]! + v], [0]);
			const read = (volts: number[]) => volts.map((v) => normalDraw(random, v, 0.002));
			const input = { series, cells: { low: 3.25, high: 3.35 } };
			const positiveV = [-nodes[series]!, ...Array.from({ length: series }, () => null)];
			expect(judgeBalanceLeads({ ...input, readingsV: read(nodes), positiveV }).pass).toBe(true);
			const a = Math.floor(random() * (series + 1));
			const b = (a + 1 + Math.floor(random() * series)) % (series + 1);
			const swapped = [...nodes];
			[swapped[a], swapped[b]] = [nodes[b]!, nodes[a]!];
			const answer = judgeBalanceLeads({ ...input, readingsV: read(swapped) });
			expect(answer.pass).toBe(false);
			expect(answer.explanations[0]!.leads).toEqual([Math.min(a, b), Math.max(a, b)]);
		}
	});
	it.each([
		[{ series: 0 }, /series requires a whole number/],
		[{ readingsV: [1, 2, 3] }, /readingsV requires 5 values .* or 4/],
		[{ readingsV: [0, 3.3, NaN, 9.9, 13.2] }, /readingsV.2/],
		[{ cells: { cellsV: [3.3] } }, /cellsV requires 4 values, got 1/],
		[{ cells: { low: 3.4, high: 3.3 } }, /cellV.high requires at least/],
		[{ positiveV: [0] }, /positiveV requires 5 values/],
		[{ meterSdV: 0 }, /meterSdV/]
	])('refuses %j', (more, message) => expect(() => judged(RIGHT, more as Partial<BalanceLeadsInput>)).toThrow(message));
});

describe('two things wrong at once', () => {
	const nodes = Array.from({ length: 17 }, (_, k) => 3.3 * k);
	const judgedOf = (readingsV: number[]) =>
		judgeBalanceLeads({ series: 16, cells: { low: 3.28, high: 3.32 }, readingsV });
	it('are named as two, and are never one sure fault', () => {
		const readings = [...nodes];
		[readings[3], readings[4]] = [nodes[4]!, nodes[3]!];
		readings[11] = 0.01;
		const { explanations, unexplained, pass } = judgedOf(readings);
		expect(explanations[0]).toMatchObject({ code: 'two-faults', leads: [3, 4, 11] });
		expect(explanations[0]!.text).toMatch(/^Two things at once: .*3 and 4 are exchanged.*11 touches no node/);
		expect({ unexplained, pass }).toEqual({ unexplained: 0, pass: false });
	});
	it('three leave something unexplained, and nothing is sure', () => {
		const readings = [...nodes];
		[readings[3], readings[4]] = [nodes[4]!, nodes[3]!];
		readings[8] = 0.01;
		[readings[12], readings[13]] = [nodes[13]!, nodes[12]!];
		const { unexplained, pass } = judgedOf(readings);
		expect(unexplained).toBeGreaterThan(0);
		expect(pass).toBe(false);
	});
	it('of a hundred and twenty-eight leads, all of them nonsense, an answer comes and passes nothing', () => {
		const readingsV = Array.from({ length: 129 }, (_, k) => (k % 5 ? 3.3 * k : 500 - k));
		const { pass, explanations } = judgeBalanceLeads({ series: 128, cells: { low: 3.28, high: 3.32 }, readingsV });
		expect(pass).toBe(false);
		expect(explanations.every((e) => Number.isFinite(e.probability))).toBe(true);
	});
	it('a reading that is nonsense neither decides for one fault nor breaks the sums', () => {
		for (const nonsense of [-500, 900]) {
			const readings = [...nodes];
			readings[6] = nonsense;
			const { explanations, pass } = judgedOf(readings);
			for (const e of explanations) expect(Number.isFinite(e.probability)).toBe(true);
			expect(pass).toBe(false);
		}
	});
});
