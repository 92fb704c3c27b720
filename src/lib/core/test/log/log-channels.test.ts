import { describe, expect, it } from 'vitest';
import { analyseLog, parseLog, splitChannels } from '.';

const rowsOf = (n: number, line: (i: number) => string) => Array.from({ length: n }, (_, i) => line(i)).join('\n');

describe('a file of several cells', () => {
	it('told apart by a column is one log each, under the names it gives', () => {
		const text = `Tester of the shed\nchannel;time_s;voltage_V;current_A\n${rowsOf(20, (i) => `H-0${1 + (i % 2)};${10 * (i >> 1)};${3.3 - 0.01 * i};-20`)}`;
		const parts = splitChannels(text);
		expect(parts.map((p) => p.name)).toEqual(['H-01', 'H-02']);
		const first = parseLog(parts[0]!.text);
		expect(first.timeS).toHaveLength(10);
		expect(first.voltageV[1]).toBeCloseTo(3.28, 9);
	});
	it.each([
		['time_s,V1,I1,V2,I2', ['1', '2']],
		['Time (s),CH1 Voltage (V),CH1 Current (A),CH3 Voltage (V),CH3 Current (A)', ['1', '3']],
		['time s,voltage_1 (mV),voltage_2 (mV),current_1 (mA),current_2 (mA)', ['1', '2']]
	])('side by side under %s', (header, names) => {
		const parts = splitChannels(`${header}\n${rowsOf(12, (i) => `${i * 10},3.3,-20,3.2,-21`)}`);
		expect(parts.map((p) => p.name)).toEqual(names);
		for (const part of parts) expect(parseLog(part.text).timeS).toHaveLength(12);
	});
	it('keeps a decimal comma between semicolons', () => {
		const [, second] = splitChannels(`time_s;V1;I1;V2;I2\n${rowsOf(12, (i) => `${i * 10};3,3;-20;3,2;-21,5`)}`);
		expect(parseLog(second!.text).currentA[0]).toBeCloseTo(-21.5, 9);
	});
	it('gives each its own capacity', () => {
		const line = (i: number) => `${i * 36},${(3.3 - i * 0.008).toFixed(3)},-10,${(3.3 - i * 0.008).toFixed(3)},-20`;
		const [a, b] = splitChannels(`time_s,V1,I1,V2,I2\n${rowsOf(101, line)}`);
		const capacityAh = (text: string) =>
			analyseLog(parseLog(text), { bridgeGaps: false, ratedAh: null, cutoffV: null }).analysis.capacityAh;
		expect(capacityAh(a!.text)).toBeCloseTo(10, 6);
		expect(capacityAh(b!.text)).toBeCloseTo(20, 6);
	});
	it.each([
		'time_s,voltage_V,current_A\n0,3.3,-20\n10,3.29,-20',
		'time_s,voltage_V,current_A,channel\n0,3.3,-20,1\n10,3.29,-20,1',
		'nothing that can be read',
		''
	])('one cell’s file stays one: %j', (text) => expect(splitChannels(text)).toEqual([{ name: '', text }]));
});
