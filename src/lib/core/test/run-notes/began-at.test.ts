import { describe, expect, it } from 'vitest';
import { beganAt } from '.';

const notes = [{ timeS: 0 }, { timeS: 3600, voltageV: 3.28 }, { timeS: null }];

describe('a run by notes that began earlier', () => {
	it('keeps the moment of each note', () =>
		expect(beganAt('2026-11-02T10:00:00Z', notes, '2026-11-01T22:00:00Z')).toEqual({
			startedAt: '2026-11-01T22:00:00Z',
			// By hand: twelve hours more.
			notes: [{ timeS: 43_200 }, { timeS: 46_800, voltageV: 3.28 }, { timeS: null }]
		}));
	it('cannot begin after its first line, or at no moment', () => {
		expect(() => beganAt('2026-11-02T10:00:00Z', notes, '2026-11-02T10:30:00Z')).toThrow(/first line/);
		expect(() => beganAt('2026-11-02T10:00:00Z', notes, 'yesterday')).toThrow(/startedAt/);
	});
});
