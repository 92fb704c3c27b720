import { describe, expect, it } from 'vitest';
import { CoreError } from '../shared';
import { simulate } from '../simulation';
import { arrivalByCharge, judgeArrival, judgeLight, judgeSettled, settledV, type StoppedReading } from '.';

const subject = { kind: 'bank' as const, id: 1, label: 'B' };
const iso = (hours: number) => new Date(Date.UTC(2026, 10, 1) + hours * 3_600_000).toISOString();
const tail = { setV: 3.6, cRate: 0.02 };

describe('how a full cell settles', () => {
	it('holds the simulated cell after an hour, a day and three', () => {
		const { cells, steps } = simulate({
			world: { chemistry: 'LFP', cells: [{ id: 1, soc: 0.9, capacityAh: 100 }], wiring: { kind: 'loose' } },
			steps: [
				{ kind: 'charge', currentA: 30, voltageV: 3.6, until: { tailA: 2 } },
				{ kind: 'charge', currentA: 30, voltageV: 3.6, until: { durationS: 1800 } },
				{ kind: 'rest', until: { durationS: 72 * 3600 } }
			],
			...{ stepS: 20, recordEveryS: 600 }
		});
		const ended = Math.round((steps[0]!.durationS + 1800) / 600);
		for (const hours of [1, 24, 71]) {
			const { low95, high95 } = settledV('LFP', hours, tail);
			const truth = cells[1]!.voltageV[ended + 6 * hours]!;
			expect(truth).toBeGreaterThan(low95);
			expect(truth).toBeLessThan(high95);
		}
	});
	it('falls with the hours, and a harder tail leaves less in the cell', () => {
		expect(settledV('LFP', 24, tail).likely).toBeLessThan(settledV('LFP', 1, tail).likely - 0.05);
		expect(settledV('LFP', 24, { setV: 3.6, cRate: 0.1 }).likely).toBeLessThan(settledV('LFP', 24, tail).likely);
		expect(() => settledV('LFP', -1, tail)).toThrow(CoreError);
	});
	const cell = (id: number, valueV: number | null, hours = 24) => ({
		...{ id, label: `C${id}`, capacityAh: 100 },
		read: valueV === null ? null : { valueV, sdV: 0.001, takenAt: iso(hours) }
	});
	const told = (cells: Parameters<typeof judgeSettled>[0]) =>
		judgeSettled(cells, iso(0), { chemistry: 'LFP', meterSdV: 0.001, tail }, subject);
	it('names the one that did not, waits for those not read, and says nothing of what was read before', () => {
		expect(told([cell(1, 3.46), cell(2, 3.458)])[0]!.code).toBe('settled');
		expect(told([cell(1, 3.46), cell(2, 3.33)])).toMatchObject([{ code: 'settle-low', subject: { id: 2 } }]);
		expect(told([cell(1, 3.46), cell(2, null)])).toMatchObject([{ code: 'settle-waits', facts: { read: 1, of: 2 } }]);
		expect(told([cell(1, 3.46, -5), cell(2, 3.4, 0.2)])).toEqual([]);
		expect(told([cell(1, 3.46), cell(2, 4.2)])).toMatchObject([{ code: 'settle-high', subject: { id: 2 } }]);
		// Three weeks later nobody knows what it lost meanwhile.
		expect(told([cell(1, 3.3, 500), cell(2, 3.3, 500)])).toEqual([]);
	});
});

describe('what a light proves', () => {
	const row = { chemistry: 'LFP' as const, setV: 3.6, totalAh: 800, meterSdV: 0.001 };
	const at = (hours: number, cellV: number | null, more: Partial<StoppedReading> = {}): StoppedReading => ({
		...{ readAt: iso(hours), supplyA: 0, cellV, stopped: null },
		...more
	});
	const code = (...readings: StoppedReading[]) => judgeLight(readings, row, subject)?.code ?? null;
	const light = (cellV: number | null) => at(0, cellV, { stopped: true });
	it('nothing at once, less than nothing below its volts, and after a day what the cells hold', () => {
		expect(code(at(0, 3.4, { supplyA: 20 }))).toBeNull();
		expect(code(light(3.58))).toBe('light-waits');
		expect(code(light(null))).toBe('light-waits');
		expect(code(light(3.42))).toBe('charger-stopped-early');
		expect(code(light(3.58), at(0.5, 3.5))).toBe('light-waits');
		expect(code(light(3.58), at(24, 3.47))).toBe('light-full');
		expect(code(light(3.58), at(24, 3.3))).toBe('light-short');
		expect(code(light(3.58), at(24, 3.345))).toBe('light-unsure');
	});
	it('nothing by volts that are above what it was set to', () =>
		expect(code(light(3.58), at(24, 4.2))).toBe('light-above'));
	it('nothing more once it charges again', () => expect(code(light(3.58), at(2, 3.4, { supplyA: 20 }))).toBeNull());
	it('in Ah of the row: at 3.30 V a third and more is missing', () => {
		const { low95, high95 } = judgeLight([light(3.58), at(24, 3.3)], row, subject)!.facts.missingAh as {
			low95: number;
			high95: number;
		};
		expect(low95).toBeGreaterThan(0.3 * 800);
		expect(high95).toBeLessThanOrEqual(800);
	});
});

describe('charge on arrival, worked back', () => {
	it('half of it went in: it was half full, give or take; tested capacities tell more', () => {
		const usual = arrivalByCharge(400, 800, false);
		expect(usual.likely).toBeCloseTo(1 - 0.5 * 0.995, 9);
		const tested = arrivalByCharge(400, 800, true);
		expect(tested.high95 - tested.low95).toBeLessThan(usual.high95 - usual.low95);
	});
	it('never leaves what a cell can hold', () => {
		expect(arrivalByCharge(900, 800, false)).toMatchObject({ low95: 0, likely: 0 });
		expect(arrivalByCharge(0, 800, false).high95).toBe(1);
		expect(() => arrivalByCharge(-1, 800, false)).toThrow(CoreError);
	});
});

describe('what a row arrived with', () => {
	it('is told from what went in; more than an empty one takes is nobody’s charge', () => {
		expect(judgeArrival(200, 400, false, subject)).toMatchObject({ code: 'arrival-by-charge', warmth: 'calm' });
		// An empty row takes its own 400 Ah, and the count may be a few percent off.
		expect(judgeArrival(408, 400, false, subject).code).toBe('arrival-by-charge');
		expect(judgeArrival(907, 400, false, subject)).toMatchObject({ code: 'arrival-too-much', warmth: 'look' });
	});
});
