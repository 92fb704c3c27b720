import { describe, expect, it } from 'vitest';
import { chargeVerdicts, rowOver } from '.';
import { judgeProgress, type ChargeProgress, type ChargeReading } from '../../foundation/parallel-charge';

const progress: ChargeProgress = {
	phase: 'constant-current',
	deliveredAh: 120,
	deliveredWithinAh: { low: 120, high: 120 },
	counterAsks: [],
	remainingS: { low: 3600, high: 7200 },
	leadOhm: 0.01,
	done: false,
	flatA: null,
	unmet: [{ wanted: 'supply-at-set', setV: 3.65 }, { wanted: 'meter-at-cells' }],
	supply: null,
	displayV: null,
	last: null
};

const charge = {
	chemistry: 'LFP' as const,
	totalAh: 400,
	cells: 4,
	setV: 3.6,
	supplyA: 20,
	leadOhm: 0.005,
	tailA: 2
};

describe('verdicts on a running charge', () => {
	it('say calmly what is still missing', () => {
		expect(chargeVerdicts(progress)).toMatchObject([
			{
				code: 'balance-unmet',
				warmth: 'calm',
				title: 'Still charging at full current',
				finding: 'Still to reach: supply at 3.65 V; a meter reading at the cells.'
			}
		]);
	});
	it('call for a person when it is done', () => {
		expect(chargeVerdicts({ ...progress, phase: 'held', done: true, unmet: [] })).toMatchObject([
			{ code: 'balance-done', warmth: 'look' }
		]);
	});
	it('name the leads and their resistance, or ask for the reading that would tell', () => {
		const limited = { ...progress, phase: 'lead-limited' as const };
		expect(chargeVerdicts({ ...limited, leadOhm: 0.05 })[0]).toMatchObject({
			code: 'lead-drop',
			finding: expect.stringContaining('50 mΩ')
		});
		expect(chargeVerdicts({ ...limited, leadOhm: null })[0]!.doubt).toContain('supply’s volts');
		expect(chargeVerdicts(limited)).toHaveLength(2);
	});
});

describe('a supply that does not do what it should', () => {
	const set = { setV: 3.6, setA: 20, leadCostH: null, tailA: 2, toDeliverAh: { low: 100, high: 200 }, charge };
	const look = (timeS: number, supplyA: number, supplyV: number | null, cellV: number | null) => ({
		timeS,
		supplyA,
		supplyV,
		cellV,
		deliveredAh: null
	});
	const codes = (...readings: ChargeReading[]) =>
		chargeVerdicts(judgeProgress(readings, set), undefined, set).map((v) => v.code);
	it('gives nothing below its volts, or neither its volts nor its amperes', () => {
		expect(codes(look(60, 0, 3.3, 3.3))).toEqual(['supply-dead', 'balance-unmet']);
		expect(codes(look(60, 12, 3.4, 3.38))).toEqual(['supply-sags', 'balance-unmet']);
		expect(codes(look(60, 20, 3.4, 3.35))).toEqual(['balance-unmet']);
		expect(codes({ ...look(60, 0, 3.3, 3.3), stopped: true })).toEqual(['balance-unmet']);
	});
	it('over several days what went in is added up, by amperes or by a counter that begins anew', () => {
		const H = 3600;
		const twoDays = [
			look(0, 20, 3.4, 3.3),
			look(2 * H, 0, null, 3.3),
			look(14 * H, 20, 3.4, 3.3),
			look(16 * H, 20, 3.4, 3.3)
		];
		expect(judgeProgress(twoDays, set).deliveredAh).toBeCloseTo(80, 9);
		const counted = [10, 40, 5, 25].map((deliveredAh, i) => ({ ...look(i * H, 20, 3.4, 3.3), deliveredAh }));
		expect(judgeProgress(counted, set).deliveredAh).toBe(65);
	});
	it('leads that pass for fullness say what they cost', () => {
		const led = judgeProgress([look(0, 20, 3.6, 3.3), look(3600, 15, 3.6, 3.45)], set);
		const [verdict] = chargeVerdicts(led, undefined, { ...set, leadCostH: 12 });
		expect(verdict).toMatchObject({ code: 'lead-drop', facts: { costH: 12 } });
		expect(verdict!.finding).toContain('12 h');
	});
	it('stop what stood above its limit when it was read last, by more than the meter', () => {
		const over = (cellV: number) => rowOver(judgeProgress([reading(0, 20, 3.75, cellV)], row), 3.65);
		expect(over(3.71)).toMatchObject({ code: 'row-over', warmth: 'stop', facts: { readV: 3.71, limitV: 3.65 } });
		expect(over(3.655)).toBeNull();
		expect(rowOver(judgeProgress([], row), 3.65)).toBeNull();
	});
});

const row = { setV: 3.6, setA: 20, tailA: 2, toDeliverAh: { low: 50, high: 80 }, charge };
const reading = (timeS: number, supplyA: number, supplyV: number, cellV: number): ChargeReading => ({
	timeS,
	supplyA,
	supplyV,
	cellV,
	deliveredAh: null
});

describe('a supply whose display is off, and leads that drop', () => {
	/** Leads of 5 mΩ; the display shows `e` more than the supply gives. */
	const log = (e: number) =>
		[20, 20, 12, 6, 3].map((a, i) => reading(i * 3600, a, 3.6, Number((3.6 - e - 0.005 * a).toFixed(3))));
	it('are told apart by what falls with the amperes', () => {
		const off = judgeProgress(log(0.08), row);
		expect(off.displayV!.likely).toBeCloseTo(0.08, 3);
		expect(off.displayV!.low95).toBeLessThan(0.08);
		expect(off.leadOhm).toBeCloseTo(0.005, 4);
		// Its leads are not blamed.
		expect(off.phase).toBe('taper');
		const [told] = chargeVerdicts(off, undefined, { ...row, leadCostH: null });
		expect(told).toMatchObject({ code: 'supply-display', title: 'The supply gives less than it shows' });
		expect(told!.next).toContain('3.60 V at the cells');
	});
	it('a display that is right is not accused, nor by one current alone', () => {
		const fine = judgeProgress(log(0), row);
		expect(fine.displayV).toBeNull();
		expect(fine.leadOhm).toBeCloseTo(0.005, 4);
		expect(judgeProgress(log(0.08).slice(0, 2), row).displayV).toBeNull();
	});
	it('one that gives more than it shows is turned down', () => {
		const [told] = chargeVerdicts(judgeProgress(log(-0.06), row), undefined, { ...row, leadCostH: null });
		expect(told).toMatchObject({ code: 'supply-display', title: 'The supply gives more than it shows' });
	});
	it('more looks tell it closer, two tell nothing, and what no display is off by is somebody’s mistake', () => {
		const [first, , , , last] = log(0.1);
		const few = judgeProgress([first!, log(0.1)[2]!, last!], row).displayV!;
		expect(judgeProgress([first!, last!], row).displayV).toBeNull();
		expect(
			judgeProgress(
				log(0).map((l) => ({ ...l, supplyV: 36 })),
				row
			).displayV
		).toBeNull();
		const all = judgeProgress(log(0.1), row).displayV!;
		expect(few.high95 - few.low95).toBeGreaterThan(all.high95 - all.low95);
		expect(few.low95).toBeLessThan(0.1);
	});
});
