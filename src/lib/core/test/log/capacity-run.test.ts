import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { analyseRun, parseLog, thinCurve } from '.';
import { judgeCapacity, toStandardConditions } from '../capacity';

const options = { ratedAh: 100, bridgeGaps: false, cutoffV: null };
/** One hour at 20 A, 3.3 V falling to 3.1 V in a straight line: 20 Ah, 64 Wh, mean 3.2 V. */
const rowsOf = (line: (t: number, v: number, a: number) => string, stepS = 60) =>
	Array.from({ length: 3600 / stepS + 1 }, (_, i) => line(i * stepS, 3.3 - (0.2 * i * stepS) / 3600, -20)).join('\n');

describe('a capacity-run log', () => {
	it('gives the hand-worked charge, energy and means', () => {
		const run = analyseRun(`time_s,voltage_V,current_A\n${rowsOf((t, v, a) => `${t},${v},${a}`)}`, options);
		expect(run.capacityAh).toBeCloseTo(20, 9);
		expect(run.energyWh).toBeCloseTo(64, 9);
		expect(run.meanVoltageV).toBeCloseTo(3.2, 9);
		expect(run.currentA).toBeCloseTo(-20, 9);
		expect(run.cRate).toBeCloseTo(0.2, 9);
		expect(run.durationS).toBe(3600);
		expect(run.faults).toEqual([]);
	});
	it.each([
		[
			'semicolons, decimal commas, BOM, mV and mA',
			`\uFEFFZeit (s);Spannung (mV);Strom (mA)\n${rowsOf((t, v, a) => `${t};${String((v * 1000).toFixed(3)).replace('.', ',')};${a * 1000},0`)}`
		],
		[
			'positive discharge current',
			`Elapsed Time [s],Voltage [V],Current [A]\n${rowsOf((t, v, a) => `${t},${v},${-a}`)}`
		],
		[
			'clock times across midnight',
			`Time,Volts,Amps\n${rowsOf((t, v, a) => `${new Date(Date.UTC(2026, 0, 1, 23, 30) + t * 1000).toISOString().slice(11, 19)},${v},${a}`)}`
		],
		[
			'dates with day first',
			`Date Time;U;I\n${rowsOf((t, v, a) => `${new Date(Date.UTC(2026, 2, 9, 23, 30) + t * 1000).toISOString().replace(/(\d+)-(\d+)-(\d+)T(\d+:\d+:\d+).*/, '$3.$2.$1 $4')};${String(v).replace('.', ',')};${a}`)}`
		],
		[
			'tabs, hours and a preamble',
			`Tester 7\nSerial\t0042\n\nt (h)\tV\tI (A)\tCapacity (Ah)\n${rowsOf((t, v, a) => `${t / 3600}\t${v}\t${a}\t0`)}`
		],
		[
			'milliseconds since 1970',
			`timestamp,Vol(mV),Cur(mA)\n${rowsOf((t, v, a) => `${1.76e12 + t * 1000},${v * 1000},${a * 1000}`)}`
		],
		[
			'a discharge current column',
			`Step Time,Time(h:m:s),Discharge Current (A),Voltage_V\n${rowsOf((t, v, a) => `1,${Math.floor(t / 3600)}:${String(Math.floor(t / 60) % 60).padStart(2, '0')}:00,${-a},${v}`)}`
		],
		['units inside the cells', `timestamp,cell voltage,cell current\n${rowsOf((t, v, a) => `${t},${v} V,${a} A`)}`]
	])('reads %s', (_, text) => {
		const run = analyseRun(text, options);
		expect(run.capacityAh).toBeCloseTo(20, 6);
		expect(run.energyWh).toBeCloseTo(64, 5);
		expect(run.currentA!).toBeCloseTo(-20, 6);
	});
	it('names a turned sign and a guessed unit', () => {
		const run = analyseRun(`time,voltage,current\n${rowsOf((t, v, a) => `${t},${v * 1000},${-a}`)}`, options);
		expect(run.faults.map((f) => f.code)).toEqual(['unit-guessed', 'unit-guessed', 'sign-flipped']);
		expect(run.faults[0]!.message).toContain('taken as mV');
	});
	it('leaves out duplicate, backward and unreadable rows and gives their lines', () => {
		const run = analyseRun(
			'time_s,voltage_V,current_A\n0,3.3,-10\n10,3.3,-10\n10,3.3,-10\nx,?,\n5,3.3,-10\n20,3.29,-10',
			options
		);
		expect(run.faults.map((f) => [f.code, f.row])).toEqual([
			['duplicate-row', 4],
			['unreadable-row', 5],
			['clock-backwards', 6]
		]);
		expect(run.capacityAh).toBeCloseTo(200 / 3600, 12);
	});
	it('bridges a gap with the same current on both sides, half of it in doubt; another one makes a lower bound, unless told to', () => {
		const text = (after: number) =>
			`time_s,voltage_V,current_A\n${Array.from({ length: 20 }, (_, i) => `${i * 10},${3.3 - i / 1000},-36`).join('\n')}\n1190,3.2,${after}`;
		const same = analyseRun(text(-36), options);
		expect(same.faults.find((f) => f.code === 'gap')).toMatchObject({ row: 21 });
		expect(same.capacityAh).toBeCloseTo(11.9, 9);
		expect(same.doubtAh).toBeCloseTo(6, 9);
		const other = analyseRun(text(-18), options);
		expect(other.faults.map((f) => f.code)).toContain('gap-not-counted');
		expect(other.capacityAh).toBeCloseTo(1.9, 9);
		const asked = analyseRun(text(-18), { ...options, bridgeGaps: true });
		expect(asked.capacityAh).toBeCloseTo(1.9 + (27 * 1000) / 3600, 9);
		expect(asked.doubtAh).toBe(0);
	});
	it('counts only the discharge of a log that also charges, whichever the sign', () => {
		const lines = (sign: number) =>
			[
				...Array.from({ length: 10 }, (_, i) => `${i * 60},${3.4 + i / 100},${sign * 30}`),
				...Array.from({ length: 61 }, (_, i) => `${(10 + i) * 60},${3.3 - i / 1000},${-sign * 10}`)
			].join('\n');
		for (const sign of [1, -1]) {
			const run = analyseRun(`time_s,voltage_V,current_A\n${lines(sign)}`, options);
			expect(run.capacityAh).toBeGreaterThan(9.9);
			expect(run.capacityAh).toBeLessThan(10.2);
			expect(run.faults.map((f) => f.code)).toContain('charge-in-log');
		}
	});
	it('says when the discharge stopped before its cut-off', () => {
		expect(
			analyseRun(`time_s,voltage_V,current_A\n${rowsOf((t, v, a) => `${t},${v},${a}`)}`, { ...options, cutoffV: 2.5 })
				.faults[0]!.code
		).toBe('ends-early');
	});
	it('does not depend on how finely a straight line is sampled', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(1, 5, 12, 60, 300),
				(stepS) =>
					Math.abs(
						analyseRun(`time_s,voltage_V,current_A\n${rowsOf((t, v, a) => `${t},${v},${a}`, stepS)}`, options)
							.capacityAh - 20
					) < 1e-9
			)
		);
	});
	it.each([
		['', /log is empty/],
		['a,b,c\n1,2,3', /No header with time, voltage and current/],
		['time,voltage,current\nlast tuesday,3.3,1\nthen,3.2,1', /not a time that can be read/],
		['time_s,voltage_V,current_A\n0,3.3,-1', /two readable samples or more, got 1/]
	])('says what is wrong with %j', (text, message) => expect(() => parseLog(text)).toThrow(message));
	it('reads month-first dates when the day is beyond 12', () => {
		const run = analyseRun(
			'time,voltage_V,current_A\n03/31/2026 11:59:00 PM,3.3,-60\n04/01/2026 12:00:00 AM,3.2,-60\n04/01/2026 12:01:00 AM,3.1,-60',
			options
		);
		expect(run.durationS).toBe(120);
	});
});

describe('standard conditions', () => {
	it('gives back what the cold took at 17 °C, with a third of it as doubt', () => {
		// z0 = 0.0015 × 8 + 0.00014 × 64 = 0.02096; 200/0.97904 = 204.2817
		const standard = toStandardConditions({ capacityAh: 200, sdAh: 2 }, 17, 0.2, { cRate: 0.2 });
		expect(standard.capacityAh).toBeCloseTo(204.2817, 4);
		// relative: 0.01 and 0.02096/3/0.97904 = 0.0071363
		expect(standard.sdAh).toBeCloseTo(204.2817 * Math.hypot(0.01, 0.0071363), 4);
	});
	it('takes 0.1 % a kelvin off above 25 °C', () =>
		expect(toStandardConditions({ capacityAh: 200, sdAh: 2 }, 35, 0.2, { cRate: 0.2 }).capacityAh).toBeCloseTo(198, 9));
	it('refuses more than 5 %: at 5 °C 8.6 % were out of reach', () =>
		expect(() => toStandardConditions({ capacityAh: 200, sdAh: 2 }, 5, 0.2, { cRate: 0.2 })).toThrow(
			/9\.4 % is more than 5 %/
		));
	it('widens the doubt when nobody read the temperature', () => {
		const standard = toStandardConditions({ capacityAh: 200, sdAh: 0 }, null, null, { cRate: 0.2 });
		// A shed is colder than 25 °C: 200 / 0.972, and 3 % of that.
		expect(standard.capacityAh).toBeCloseTo(205.761, 3);
		expect(standard.sdAh).toBeCloseTo(0.03 * 205.761, 3);
	});
});

it('a temperature nobody told does not make a correction too large', () => {
	// 3 % missed by the leads and 2.9 % for a shed are more than 5 % together.
	const measured = { capacityAh: 200, sdAh: 2, missedShare: 0.03 };
	const { capacityAh } = toStandardConditions(measured, null, 0.2, { cRate: 0.2 });
	expect(capacityAh).toBeCloseTo(200 / 0.97 / 0.972, 6);
	expect(() => toStandardConditions({ ...measured, missedShare: 0.06 }, null, 0.2, { cRate: 0.2 })).toThrow(/6.4 %/);
});

describe('where a log begins and ends', () => {
	const log = (startV: number, rows = 300) =>
		['time_s,voltage_V,current_A']
			.concat(
				Array.from(
					{ length: rows },
					(_, i) => `${i * 60},${(startV - (startV - 2.5) * (i / (rows - 1)) ** 8).toFixed(4)},-20`
				)
			)
			.join('\n');
	const options = { ratedAh: 100, bridgeGaps: false, cutoffV: 2.5, chemistry: 'LFP' as const };
	const codes = (text: string, more: object = {}) =>
		analyseRun(text, { ...options, ...more }).faults.map((f) => f.code);
	it('at 3.26 V under 0.2 C no cell is full: a lower bound', () => {
		expect(codes(log(3.26))).toContain('starts-not-full');
		// Of another chemistry, or nobody knows which: nothing is ruled out.
		expect(codes(log(3.26), { chemistry: null })).not.toContain('starts-not-full');
	});
	it('at 3.33 V and up it may be', () => {
		for (const volts of [3.33, 3.38, 3.5]) expect(codes(log(volts))).not.toContain('starts-not-full');
	});
	it('a log that charges first is judged by its discharge alone', () => {
		const charge = Array.from({ length: 50 }, (_, i) => `${i * 60},3.2,20`);
		const discharge = log(3.38)
			.split('\n')
			.slice(1)
			.map((row, i) => row.replace(/^\d+/, String((60 + i) * 60)));
		expect(codes(['time_s,voltage_V,current_A', ...charge, ...discharge].join('\n'))).not.toContain('starts-not-full');
	});
	it('tells its own date, where it is dated', () => {
		const dated =
			'time,voltage_V,current_A\n2026-03-09 08:00:00,3.4,-20\n2026-03-09 08:10:00,3.3,-20\n2026-03-09 08:20:00,2.5,-20';
		expect(analyseRun(dated, options).endedAt).toBe('2026-03-09T08:20:00.000Z');
		expect(analyseRun(log(3.4), options).endedAt).toBeNull();
	});
});

describe('capacity verdict', () => {
	const cell = { id: 1, label: 'H-01' };
	it('calls 224 ± 3 against 230 short', () => {
		const judged = judgeCapacity(cell, 224, 3, 230);
		expect(judged.outcome).toBe('short');
		expect(judged.probabilityShort).toBeCloseTo(0.97725, 5);
	});
	it('is unsure in between and says what would decide', () => {
		const warm = { fraction: 0.012, temperatureC: 21 };
		const judged = judgeCapacity(cell, 228, 3, 230, null, warm);
		expect(judged.outcome).toBe('unsure');
		expect(judged.verdict.next).toContain('tester');
		// What was corrected is shown; where nobody wrote the temperature down, that comes first.
		expect(judged.verdict.finding).toContain('Corrected by +1.2 %');
		expect(judgeCapacity(cell, 228, 3, 230).verdict.next).toContain('temperature');
	});
	it('meets above, and an exact figure needs no doubt', () => {
		expect(judgeCapacity(cell, 236, 3, 230).outcome).toBe('meets');
		expect(judgeCapacity(cell, 229.9, 0, 230).probabilityShort).toBe(1);
	});
	it('refuses a capacity of 0', () =>
		expect(() => judgeCapacity(cell, 0, 1, 230)).toThrow(/capacityAh requires a number above 0/));
});

it('thins a curve without losing its dip', () => {
	const values = Array.from({ length: 10000 }, (_, i) => (i === 6543 ? -1 : 1));
	const kept = thinCurve(values, 100);
	expect(kept).toContain(6543);
	expect(kept.length).toBeLessThanOrEqual(202);
	expect(thinCurve([1, 2, 3], 100)).toEqual([0, 1, 2]);
});
