import { describe, expect, it } from 'vitest';
import { CoreError } from '../../foundation/errors';
import { simulate } from '../../world/simulation';
import { judgeSettled, settledV } from '.';

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
			stepS: 20,
			recordEveryS: 600
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
		id,
		label: `C${id}`,
		capacityAh: 100,
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
		// Three weeks later nobody knows what it lost meanwhile: that is said.
		expect(told([cell(1, 3.3, 500), cell(2, 3.3, 500)])).toMatchObject([
			{ code: 'settle-late', warmth: 'calm', facts: { cells: 2 } }
		]);
	});
	it('a row that is still joined is told as one, and its cells are not', () => {
		const row = (valueV: number, hours = 24) =>
			judgeSettled([cell(1, null), cell(2, null)], iso(0), { chemistry: 'LFP', meterSdV: 0.001, tail }, subject, {
				valueV,
				sdV: 0.001,
				takenAt: iso(hours)
			});
		expect(row(3.46)).toMatchObject([{ code: 'settle-row', warmth: 'open' }]);
		expect(row(3.33)).toMatchObject([{ code: 'settle-row-low', warmth: 'look' }]);
		expect(row(3.46, 0.2), 'too early').toEqual([]);
	});
});
