import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unmetWords } from '../verdicts';
import {
	chargeVerdicts,
	checkJoin,
	chargeAfter,
	estimateTopCharge,
	highestSetV,
	isBalanced,
	judgeProgress,
	cellsJoinedBy,
	parallelBars,
	planTopBalance,
	type BalanceCell,
	type ChargeReading,
	type ChargeTargets
} from '.';

const charge = {
	chemistry: 'LFP' as const,
	totalAh: 824,
	cells: 4,
	setV: 3.65,
	supplyA: 20,
	leadOhm: 0.01,
	tailA: 4.12
};

describe('time of a parallel top balance', () => {
	it('four 206 Ah cells at 35 % on 20 A through 10 mΩ: about 28 h', () => {
		expect(Math.abs(estimateTopCharge(charge, 0.35).durationS / 3600 - 28)).toBeLessThan(1);
	});
	it('10 A through 50 mΩ: about 89 h and below 10 A from the first minute', () => {
		const slow = estimateTopCharge({ ...charge, supplyA: 10, leadOhm: 0.05, tailA: 0.5 }, 0.35);
		expect(Math.abs(slow.durationS / 3600 - 89)).toBeLessThan(5);
		expect(slow.startA).toBeLessThan(10);
		expect(slow.constantCurrentS).toBe(0);
	});
	it('takes longer from emptier, through worse leads, and with less current', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.1, max: 0.8, noNaN: true }),
				fc.double({ min: 0.002, max: 0.01, noNaN: true }),
				(soc, leadOhm) => {
					const hours = (more: Partial<typeof charge>, from = soc) =>
						estimateTopCharge({ ...charge, leadOhm, ...more }, from).durationS;
					expect(hours({}, soc - 0.05)).toBeGreaterThan(hours({}));
					expect(hours({ leadOhm: leadOhm + 0.01 })).toBeGreaterThanOrEqual(hours({}) - 1);
					expect(hours({ supplyA: 15 })).toBeGreaterThan(hours({}));
				}
			),
			{ numRuns: 20 }
		);
	});
	it('refuses a set voltage above the limit', () =>
		expect(() => estimateTopCharge({ ...charge, setV: 3.8 }, 0.4)).toThrow(/at most 3\.65 V for LFP, got 3\.8 V/));
});

const cell = (id: number, more: Partial<BalanceCell> = {}): BalanceCell => ({
	id,
	label: `H-${id}`,
	capacityAh: 200,
	socLow: 0.4,
	socHigh: 0.6,
	restVoltageV: 3.294,
	resistanceMohm: 0.175,
	...more
});
const setup = { chemistry: 'LFP' as const, chargeLimitV: 3.65, chargeCRate: 0.5, supplyA: 30, leadOhm: 0.005 };

describe('balance plan', () => {
	it('gives charge as bounds: 4 × 200 Ah at 40 to 60 % need 320 to 480 Ah', () => {
		const plan = planTopBalance([cell(1), cell(2), cell(3), cell(4)], setup);
		expect(plan.toDeliverAh.low).toBeCloseTo(320, 9);
		expect(plan.toDeliverAh.high).toBeCloseTo(480, 9);
		expect(plan).toMatchObject({ barsNeeded: 6, setV: 3.6, setA: 30, tailA: 4 });
		expect(plan.durationS.low).toBeGreaterThan((320 / 30) * 3600 * 0.98);
		expect(plan.durationS.high).toBeGreaterThan(plan.durationS.low);
	});
	it('never sets more than the cells take', () =>
		expect(planTopBalance([cell(1)], { ...setup, supplyA: 500 }).setA).toBe(100));
	it('sets 3.60 V unless told, and less where the cells’ limit is near what meter and supply may be off', () => {
		const at = (more: Partial<typeof setup> & { setV?: number; voltageHalfWidthV?: number }) =>
			planTopBalance([cell(1)], { ...setup, ...more }).setV;
		expect(at({})).toBe(3.6);
		expect(at({ setV: 3.63 })).toBe(3.63);
		expect(at({ chargeLimitV: 3.6 })).toBeCloseTo(3.58, 9);
		expect(at({ voltageHalfWidthV: 0.08 })).toBeCloseTo(3.57, 9);
		expect(highestSetV({ chemistry: 'LFP', chargeLimitV: 3.8, voltageHalfWidthV: 0.01 })).toBeCloseTo(3.64, 9);
	});
	it('ends at 0.02 C of one cell, or 0.002 C for each of a long row', () => {
		const tailOf = (n: number) =>
			planTopBalance(
				Array.from({ length: n }, (_, i) => cell(i)),
				setup
			).tailA;
		expect([tailOf(1), tailOf(10), tailOf(16)]).toEqual([4, 4, 16 * 0.002 * 200]);
		// 100 cells would end at 40 A: a supply of 30 A has to fall to a quarter of it.
		expect(tailOf(100)).toBe(7.5);
	});
	it('counts bars, none for a single cell', () => expect([1, 2, 16].map(parallelBars)).toEqual([0, 2, 30]));
	it('joins no more cells than the bars there are reach', () => {
		for (const bars of [0, 1, 2, 3, 14, 29, 30]) {
			const cells = cellsJoinedBy(bars);
			expect(parallelBars(cells)).toBeLessThanOrEqual(bars);
			expect(parallelBars(cells + 1)).toBeGreaterThan(bars);
		}
	});
	it('asks for cells', () => expect(() => planTopBalance([], setup)).toThrow(/Match cells first/));
});

describe('how far a charge came', () => {
	it('of 800 Ah that lacked 320 to 480 Ah, 200 Ah in: 65 to 85 %', () =>
		expect(chargeAfter({ totalAh: 800, toDeliverAh: { low: 320, high: 480 } }, 200)).toEqual({
			low: 0.65,
			high: 0.85
		}));
	it('is never more than full', () =>
		expect(chargeAfter({ totalAh: 100, toDeliverAh: { low: 10, high: 90 } }, 95)).toEqual({ low: 1, high: 1 }));
});

describe('joining', () => {
	it('passes cells that rest alike', () =>
		expect(checkJoin([cell(1), cell(2, { restVoltageV: 3.296 })]).verdict.code).toBe('join-checked'));
	it('stops at a cell that read negative until its plus is recorded: joined by the print it is a short circuit', () => {
		const { peakA, verdict } = checkJoin([cell(1), cell(2, { polarityOpen: true })]);
		expect(peakA).toBeNull();
		expect(verdict).toMatchObject({ code: 'join-polarity', warmth: 'stop', members: [{ id: 2 }] });
	});
	it('refuses what may be above the limit, not only what most likely is', () => {
		const at = (restVoltageV: number) => checkJoin([cell(1), cell(2, { restVoltageV })]);
		const limitV = 3.294 + at(3.35).limitA * 0.00073;
		expect(at(limitV + 0.001).verdict.code).toBe('join-refused');
		const below = at(limitV - 0.004);
		expect(below.peakA).toBeLessThan(below.limitA);
		expect(below.verdict.code).toBe('join-refused');
	});
	it('tells a cell that rests above the others to be drawn down, not charged', () => {
		const high = checkJoin([
			cell(1, { restVoltageV: 3.1 }),
			cell(2, { restVoltageV: 3.1 }),
			cell(3, { restVoltageV: 3.45 })
		]);
		expect(high.verdict.next).toMatch(/^Discharge .*, or charge the others, until/);
		const low = checkJoin([
			cell(1, { restVoltageV: 3.45 }),
			cell(2, { restVoltageV: 3.45 }),
			cell(3, { restVoltageV: 3.1 })
		]);
		expect(low.verdict.next).toMatch(/^Charge .* on its own until/);
	});
	it('works the peak current by hand for two cells', () => {
		// 20 mV over 2 × 0.25 mΩ + 0.23 mΩ = 27.40 A
		const check = checkJoin([cell(1), cell(2, { restVoltageV: 3.314 })]);
		expect(check.peakA).toBeCloseTo(0.02 / 0.00073, 6);
	});
	it('refuses a full cell among empty ones and says how near it must come', () => {
		const check = checkJoin([
			cell(1, { restVoltageV: 3.1 }),
			cell(2, { restVoltageV: 3.1 }),
			cell(3, { restVoltageV: 3.45 })
		]);
		expect(check.verdict).toMatchObject({ code: 'join-refused', warmth: 'stop', subject: { kind: 'cell', id: 3 } });
		expect(check.verdict.next).toMatch(/within \d+ mV/);
	});
	it('does not judge an unread cell', () =>
		expect(checkJoin([cell(1), cell(2, { restVoltageV: null })]).verdict).toMatchObject({
			code: 'join-unknown',
			members: [{ kind: 'cell', id: 2 }]
		}));
});

describe('a running charge', () => {
	const targets: ChargeTargets = {
		...{ setV: 3.65, setA: 20, tailA: 4, toDeliverAh: { low: 320, high: 480 } },
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
	it('has nothing to say before the first reading and refuses times out of order', () => {
		expect(judgeProgress([], targets).phase).toBe('not-started');
		expect(() => judgeProgress([at(2, 5), at(1, 5)], targets)).toThrow(/rising times/);
	});
});

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
			...{ chemistry: 'LFP', groupVoltagesV: [2.93, 3.14], currentA: 0, groupAh: 200, meterSdV: 0.001 },
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
				...{ chemistry: 'LFP', groupVoltagesV, currentA: 0, groupAh: 200, meterSdV: 0.002 },
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
