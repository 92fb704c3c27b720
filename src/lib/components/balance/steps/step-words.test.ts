import { describe, expect, it } from 'vitest';
import type { NextStep } from '$lib/core/balance/steps';
import { entryOf, momentWanted, voltsOf, type TypedEntry } from './step-words';

const next: NextStep = {
	step: 'read',
	cell: null,
	unit: null,
	from: null,
	does: 'Read them.',
	question: null,
	besides: false,
	asks: ['volts', 'currentA'],
	needs: ['volts'],
	count: 2,
	mostV: null
};
const typed: TypedEntry = {
	voltageV: 3.3,
	currentA: 2,
	ah: 5,
	wh: null,
	volts: '3,412 3.405',
	words: ' ',
	asked: true
};
const at = '2026-11-01T08:00:00.000Z';
const passings = { voltageV: 3.4, endAh: 2, groups: [{ ah: 1, sdAh: 0.1 }, null] };

describe('a step as it is typed', () => {
	it('is sent with what it asks for, and nothing else that stands in a field', () => {
		expect(entryOf(next, typed, at, passings)).toEqual({
			step: 'read',
			cellId: null,
			unit: null,
			doneAt: at,
			voltageV: null,
			currentA: 2,
			ah: null,
			wh: null,
			volts: [3.412, 3.405],
			passings,
			asked: null,
			words: null
		});
		expect(entryOf({ ...next, asks: ['voltageV'] }, typed, at, passings)).toMatchObject({ voltageV: 3.3, volts: null });
		expect(entryOf({ ...next, asks: ['voltageV'] }, typed, at, passings)).not.toHaveProperty('passings');
	});
	it('reads volts with spaces or semicolons between; what is none stays none', () => {
		expect(voltsOf('3.4; 3,5\n3.6')).toEqual([3.4, 3.5, 3.6]);
		expect(voltsOf('3.4 x')).toEqual([3.4, NaN]);
		expect(voltsOf('  ')).toBeNull();
	});
	it('takes of a log its first line for an evening, its last for a morning, else the fullest', () => {
		expect(['on-evening', 'off-morning', 'read', 'tripped'].map(momentWanted)).toEqual([
			...['first', 'last'],
			...['fullest', 'fullest']
		]);
	});
});
