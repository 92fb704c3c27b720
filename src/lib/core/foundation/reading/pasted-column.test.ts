import { describe, expect, it } from 'vitest';
import { readPasted } from '.';

const values = (text: string) => readPasted(text, 'restVoltage').lines.map((line) => line.value);

describe('a pasted column', () => {
	it('its head is no reading and moves nothing', () => {
		const column = readPasted('Volts at rest\n3.291\n3.292', 'restVoltage');
		expect(column.header).toEqual(['Volts at rest']);
		expect(column.lines.map((line) => line.value)).toEqual([3.291, 3.292]);
		expect(readPasted('Cell voltage;3,291;3,292', 'restVoltage').header).toEqual(['Cell voltage']);
		expect(readPasted('Delivery 3\nV\n\n3.291', 'restVoltage')).toMatchObject({
			header: ['Delivery 3', 'V'],
			lines: [{ value: 3.291 }]
		});
	});
	it('a blank, at the beginning too, keeps the place of its cell', () => {
		expect(values('\n3.291\n\n3.293')).toEqual([null, 3.291, null, 3.293]);
		expect(readPasted('\n3.291', 'restVoltage').header).toEqual([]);
	});
	it('a word among numbers keeps its place and says why', () => {
		const { header, lines } = readPasted('3.291\nbroken\n3.293', 'restVoltage');
		expect(header).toEqual([]);
		expect(lines[1]).toMatchObject({ text: 'broken', value: null, why: expect.stringContaining('"broken"') });
		expect(lines[2]!.value).toBe(3.293);
	});
	it('words alone have no head: each is named', () =>
		expect(readPasted('one\ntwo', 'mass')).toMatchObject({ header: [], lines: [{ value: null }, { value: null }] }));
	it('is empty when nothing was pasted', () => {
		expect(readPasted('', 'mass')).toEqual({ header: [], lines: [] });
		expect(readPasted('\n \n', 'mass')).toEqual({ header: [], lines: [] });
	});
	it('reads bare numbers in the unit they are shown in', () =>
		expect(
			readPasted('64.4\n66.2 F', 'temperature', (line) => `${line} °F`.replace('F °F', '°F')).lines[0]!.value
		).toBeCloseTo(18, 6));
});
