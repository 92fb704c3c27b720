import { describe, expect, it } from 'vitest';
import { isBalanced } from '.';

describe('is it balanced?', () => {
	const ask = (groupVoltagesV: number[], currentA = 0) =>
		isBalanced({ chemistry: 'LFP', groupVoltagesV, currentA, groupAh: 200, meterSdV: 0.001 });
	it('refuses from the plateau, bounds what it can, and says what to read', () => {
		const answer = ask([3.331, 3.332, 3.33, 3.331]);
		expect(answer).toMatchObject({ answer: 'cannot-tell', verdict: { code: 'balance-plateau' } });
		// A millivolt is several percent there.
		expect(answer.apartAh!.high95).toBeGreaterThan(20);
		expect(answer.verdict.next).toContain('3.45 V');
	});
	it('refuses under load and when a group on the plateau may or may not lag', () => {
		expect(ask([3.345, 3.335], 60).verdict.code).toBe('balance-loaded');
		expect(ask([3.348, 3.341], 0.5).verdict.code).toBe('balance-partly');
	});
	it('answers at the top: 3.46 against 3.40 V is about half a percent, 1 Ah of 200', () => {
		const answer = ask([3.46, 3.4]);
		expect(answer.answer).toBe('balanced');
		expect(answer.apartAh!.low95).toBeLessThan(1);
		expect(answer.apartAh!.high95).toBeGreaterThan(1);
		expect(answer.apartAh!.high95).toBeLessThanOrEqual(2);
	});
	it('of four 280 Ah groups, one 22.4 Ah behind, read at the tail: the low end is certain, the high end open', () => {
		const volts = [3.61, 3.608, 3.345, 3.612];
		const tail = { chemistry: 'LFP' as const, groupVoltagesV: volts, currentA: 8.4, groupAh: 280, meterSdV: 0.002 };
		const answer = isBalanced(tail);
		expect(answer.answer).toBe('apart');
		expect(answer.apartAh!.low95).toBeGreaterThan(2.8);
		expect(answer.apartAh!.low95).toBeLessThan(12);
		expect(answer.apartAh!.high95).toBeGreaterThan(60);
		expect(answer.verdict.title).toMatch(/^Apart by at least \d+\.\d Ah at the top$/);
	});
	it('finds them apart at the bottom and limits the claim', () => {
		const answer = ask([2.93, 3.14]);
		expect(answer.answer).toBe('apart');
		expect(answer.apartAh!.low95).toBeLessThan(8);
		expect(answer.apartAh!.high95).toBeGreaterThan(8);
		expect(answer.verdict.doubt).toContain('nothing about the top');
	});
	it('calls it no fault when a battery balanced at the top parts at the bottom', () => {
		const answer = isBalanced({
			chemistry: 'LFP',
			groupVoltagesV: [2.93, 3.14],
			currentA: 0,
			groupAh: 200,
			meterSdV: 0.001,
			balancedAt: 'top'
		});
		expect(answer).toMatchObject({ answer: 'cannot-tell', verdict: { code: 'parted-at-bottom', warmth: 'calm' } });
	});
	it('names cumulative readings and offers the differences', () => {
		const { answer, apartAh, verdict } = ask([3.301, 6.605, 9.9, 13.204]);
		expect([answer, apartAh, verdict.code]).toEqual(['cannot-tell', null, 'read-cumulative']);
		expect(verdict.finding).toContain('3.301, 3.304, 3.295, 3.304 V');
	});
	it('names whole units, and never calls them balanced', () => {
		expect(ask([13.14, 13.16, 13.13, 13.14]).verdict).toMatchObject({ code: 'read-units', facts: { cells: 4 } });
		const over = (groupVoltagesV: number[]) =>
			isBalanced({
				chemistry: 'LFP',
				groupVoltagesV,
				currentA: 0,
				groupAh: 200,
				meterSdV: 0.002,
				cellsPerReading: 4
			});
		expect(over([13.14, 13.16, 13.13, 13.14])).toMatchObject({
			answer: 'cannot-tell',
			verdict: { code: 'balance-units', warmth: 'open' }
		});
		// One full cell in a unit hides behind seven at the plateau: near full tells no more.
		for (const near of [
			[14.2, 14.2, 14.2],
			[13.6, 14.4, 13.6]
		])
			expect(over(near)).toMatchObject({ answer: 'cannot-tell', apartAh: null, verdict: { code: 'balance-units' } });
	});
	it('names two exchanged balance leads behind what a BMS reads, and says stop', () => {
		// Leads 1 and 2 in each other’s place: 2 cells, −1 cell, 2 cells.
		expect(ask([6.858, -3.428, 6.857, 3.43])).toMatchObject({
			answer: 'cannot-tell',
			verdict: { code: 'leads-exchanged', warmth: 'stop', facts: { leads: [1, 2] } }
		});
	});
	it('questions a slipped decimal point and a reversed probe instead of judging them', () => {
		expect(ask([34.5, 3.451, 3.449])).toMatchObject({
			answer: 'cannot-tell',
			apartAh: null,
			verdict: { code: 'read-impossible', facts: { group: 1, meantV: 3.45 } }
		});
		expect(ask([3.45, -3.45]).verdict.next).toContain('other way round');
	});
	it('speaks of each chemistry’s own voltages', () => {
		const lto = { chemistry: 'LTO' as const, groupVoltagesV: [2.25, 2.251], currentA: 0, groupAh: 40, meterSdV: 0.002 };
		expect(isBalanced(lto).verdict.next).toContain('2.55 V');
	});
	it('needs two groups', () => expect(() => ask([3.4])).toThrow(/two or more groups/));
});
