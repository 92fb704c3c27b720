import { describe, expect, it } from 'vitest';
import { readAgain } from './read-again';

const ended = '2026-11-20T12:00:00.000Z';
const hours = (lastReadAt: string | null) => readAgain(ended, lastReadAt).map((d) => d.hours);

describe('reading again after a charge', () => {
	it('is due after an hour and after a day', () =>
		expect(readAgain(ended, null)).toEqual([
			{ hours: 1, at: '2026-11-20T13:00:00.000Z' },
			{ hours: 24, at: '2026-11-21T12:00:00.000Z' }
		]));
	it('is not due once it has been done, a little early or late; the one left out keeps it', () => {
		expect(hours('2026-11-20T12:10:00Z')).toEqual([1, 24]);
		expect(hours('2026-11-20T12:56:00Z')).toEqual([24]);
		expect(hours('2026-11-21T05:00:00Z')).toEqual([24]);
		expect(hours('2026-11-21T10:00:00Z')).toEqual([]);
		expect(hours('2026-11-23T10:00:00Z')).toEqual([]);
	});
	it('counts nothing that was read before the end', () => expect(hours('2026-11-19T10:00:00Z')).toEqual([1, 24]));
});
