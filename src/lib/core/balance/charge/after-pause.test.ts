import { describe, expect, it } from 'vitest';
import { afterPause, type PausedBalance } from '.';

const cell = (label: string, more: object = {}) => ({
	label,
	isThere: true,
	hasStop: false,
	readAt: null,
	testedAt: null,
	...more
});
const paused = (more: Partial<PausedBalance> = {}): PausedBalance => ({
	lastAt: '2026-10-01T08:00:00Z',
	nowIso: '2026-11-01T08:00:00Z',
	cells: [cell('A1')],
	newcomers: [],
	how: 'parallel',
	...more
});

describe('coming back to a balance', () => {
	it('is no pause within two days', () => expect(afterPause(paused({ nowIso: '2026-10-03T07:00:00Z' }))).toBeNull());
	it('names who left, came, was stopped, read or tested since', () => {
		const cells = [
			cell('A1', { isThere: false }),
			cell('A2', { hasStop: true, readAt: '2026-10-05T00:00:00Z' }),
			cell('A3', { testedAt: '2026-10-05T00:00:00Z', readAt: '2026-10-06T00:00:00Z' }),
			cell('A4', { readAt: '2026-09-05T00:00:00Z' })
		];
		const { changed, days } = afterPause(paused({ cells, newcomers: ['B1'] }))!;
		expect(days).toBe(31);
		expect(changed).toEqual([
			{ kind: 'stopped', cells: ['A2'] },
			{ kind: 'left', cells: ['A1'] },
			{ kind: 'new', cells: ['B1'] },
			{ kind: 'tested', cells: ['A3'] },
			{ kind: 'read', cells: ['A2'] }
		]);
	});
	it('checks first what could hurt: links in series, emptied cells, a supply that may have been moved', () => {
		const first = (how: PausedBalance['how']) => afterPause(paused({ how }))!.checks[0];
		expect([first('series'), first('emptied'), first('parallel'), first('other')]).toEqual([
			'links',
			'empty',
			'leads-loose',
			'voltages'
		]);
		expect(afterPause(paused({ newcomers: ['B1'] }))!.checks).toContain('polarity');
	});
});
