import { describe, expect, it } from 'vitest';
import { analyseLog, analyseRun, parseLog } from '.';

const options = { ratedAh: 280, bridgeGaps: false, cutoffV: 2.5, chemistry: 'LFP' as const };
const CAPACITY_AH = 284;
const AMPS = 56;

type Row = [timeS: number, volts: number, amps: number];
/** A discharge of 284 Ah at 56 A, 3.35 V falling to 2.5 V at its end as such a cell does; V over the share that has flowed. */
const voltsAt = (share: number) => 3.28 - 0.06 * share + 0.07 * (1 - share) ** 12 - 0.72 * share ** 40;
function discharge(stepS = 10, fromS = 0): Row[] {
	const lastS = (CAPACITY_AH / AMPS) * 3600;
	const times = [...Array.from({ length: Math.floor(lastS / stepS) + 1 }, (_, i) => i * stepS), lastS];
	return [...new Set(times)].map((t) => [fromS + t, voltsAt(t / lastS), -AMPS]);
}
/** A charge to the tail: 3.2 V rising through the knee. */
function charge(fromS: number, ah = 284): Row[] {
	const lastS = (ah / AMPS) * 3600;
	return Array.from({ length: Math.floor(lastS / 10) + 1 }, (_, i) => {
		const share = (i * 10) / lastS;
		return [fromS + i * 10, 3.25 + 0.12 * share + 0.28 * share ** 30, AMPS];
	});
}
const textOf = (rows: readonly Row[]) => ['time_s,voltage_V,current_A', ...rows.map((row) => row.join(','))].join('\n');
const read = (rows: readonly Row[], more: object = {}) => analyseRun(textOf(rows), { ...options, ...more });
const codes = (rows: readonly Row[]) => read(rows).faults.map((f) => f.code);

describe('a log that was not kept as it should be', () => {
	it('as it should be: 284 Ah, nothing in doubt', () => {
		const run = read(discharge());
		expect(run.capacityAh).toBeCloseTo(CAPACITY_AH, 6);
		expect(run).toMatchObject({ doubtAh: 0, faults: [] });
	});
	it('twenty minutes without samples while it ran are bridged; half of what flowed then is doubt', () => {
		const rows = discharge().filter(([t]) => t < 9000 || t > 10_200);
		const run = read(rows);
		expect(run.capacityAh).toBeCloseTo(CAPACITY_AH, 6);
		expect(run.doubtAh).toBeCloseTo((0.6 * AMPS * 1220) / 3600, 6);
	});
	it('without samples, and another current afterwards: a lower bound', () => {
		const rows = discharge().flatMap(([t, v, a]): Row[] =>
			t < 9000 ? [[t, v, a]] : t > 10_200 ? [[t, v, a / 2]] : []
		);
		expect(codes(rows)).toContain('gap-not-counted');
	});
	it('a clock that is set back by an hour is counted on', () => {
		const rows = discharge().map(([t, v, a]): Row => [t > 9000 ? t - 3600 : t, v, a]);
		const run = read(rows);
		expect(run.capacityAh).toBeCloseTo(CAPACITY_AH, 6);
		expect(run.faults.map((f) => f.code)).toEqual(['clock-restarted']);
		expect(run.doubtAh).toBeCloseTo((AMPS * 10) / 3600 / 2, 9);
	});
	it('one row out of its place is left out, and nothing else', () => {
		const rows = discharge();
		const moved = [...rows.slice(0, 500), rows[498]!, ...rows.slice(500)];
		expect(codes(moved)).toEqual(['clock-backwards']);
		expect(read(moved).capacityAh).toBeCloseTo(CAPACITY_AH, 6);
	});
	it('two discharges with a charge between them: the last to its cut-off is the run, and alone is kept', () => {
		const first = discharge();
		const between = charge(first.at(-1)![0] + 600);
		const second = discharge(10, between.at(-1)![0] + 600);
		const run = read([...first, ...between, ...second]);
		expect(run.capacityAh).toBeCloseTo(CAPACITY_AH, 0);
		expect(run.faults.map((f) => f.code)).toContain('several-discharges');
		const { samples } = analyseLog(parseLog(textOf([...first, ...between, ...second])), options);
		expect(samples.timeS.at(-1)! / 3600).toBeCloseTo(CAPACITY_AH / AMPS, 1);
		// One that was broken off after the full one is not the test.
		const short = second.slice(0, 800);
		expect(read([...first, ...between, ...short]).capacityAh).toBeCloseTo(CAPACITY_AH, 0);
	});
	it('a charge that gave back a third only: the discharge after it is no test, the full one before it is', () => {
		const first = discharge();
		const between = charge(first.at(-1)![0] + 600, 100);
		const rest = discharge(10, between.at(-1)![0] + 600);
		// The last third of a discharge, to its cut-off.
		const third = rest.slice(Math.ceil(rest.length * 0.66));
		expect(read([...first, ...between, ...third]).capacityAh).toBeCloseTo(CAPACITY_AH, 0);
		// Where the first one is not there whole either, nothing is a capacity.
		expect(codes([...first.slice(0, 1200), ...between, ...third])).toContain('starts-not-full');
	});
	it('charge and discharge with currents of one sign: what rises is the charge', () => {
		const before = charge(0);
		const after = discharge(10, before.at(-1)![0] + 10);
		for (const sign of [1, -1]) {
			const unsigned = [...before, ...after].map(([t, v, a]): Row => [t, v, sign * Math.abs(a)]);
			const run = read(unsigned);
			expect(run.capacityAh).toBeCloseTo(CAPACITY_AH, 0);
			expect(run.faults.map((f) => f.code)).toContain('unsigned-current');
		}
	});
	it('a discharge with a lighter load at its end is no charge, though its volts rise', () => {
		const rows = discharge().map(([t, v, a], i, all): Row => (i > all.length * 0.7 ? [t, v + 0.06, a / 4] : [t, v, a]));
		expect(codes(rows)).not.toContain('unsigned-current');
	});
	it('a row only where something changed: the long steps are its own, no gaps', () => {
		const all = discharge();
		const events = all.filter((_, i) => i < 4 || i % 180 === 0 || i > all.length - 4);
		const run = read(events);
		expect(run.faults).toEqual([]);
		expect(run.capacityAh).toBeCloseTo(CAPACITY_AH, 6);
	});
	it('every second at first, every minute afterwards', () => {
		const burst = discharge(1).slice(0, 600);
		const slow = discharge(60).filter(([t]) => t > 600);
		const run = read([...burst, ...slow]);
		expect(run.faults).toEqual([]);
		expect(run.capacityAh).toBeCloseTo(CAPACITY_AH, 6);
	});
});
