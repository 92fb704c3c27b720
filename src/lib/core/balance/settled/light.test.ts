import { describe, expect, it } from 'vitest';
import { judgeLight, type StoppedReading } from '.';

const subject = { kind: 'bank' as const, id: 1, label: 'B' };
const iso = (hours: number) => new Date(Date.UTC(2026, 10, 1) + hours * 3_600_000).toISOString();

describe('what a light proves', () => {
	const row = { chemistry: 'LFP' as const, setV: 3.6, totalAh: 800, meterSdV: 0.001 };
	const at = (hours: number, cellV: number | null, more: Partial<StoppedReading> = {}): StoppedReading => ({
		readAt: iso(hours),
		supplyA: 0,
		cellV,
		stopped: null,
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
