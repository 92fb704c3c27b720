import { describe, expect, it } from 'vitest';
import type { LiveSampleShown } from '$lib/client/live/live-line';
import { gapEnds, keptSamples, liveCurve } from './live-curve';

const HOUR_MS = 3_600_000;
const sample = (hour: number, more: Partial<LiveSampleShown> = {}): LiveSampleShown => ({
	atMs: 1e12 + hour * HOUR_MS,
	phase: 0,
	voltageV: 3.2,
	currentA: -20,
	cellV: null,
	groupsV: null,
	...more
});

describe('the curve of a live run', () => {
	it('starts at its first sample and takes the meter at the cells where there is one', () => {
		const curve = liveCurve([sample(5), sample(7, { cellV: 3.25 })], []);
		expect(curve).toEqual({ hours: [0, 2], volts: [3.2, 3.25], amperes: [-20, -20] });
	});
	it('goes by the instrument while the probes of the meter have slipped', () =>
		expect(liveCurve([sample(0, { cellV: 3.25 }), sample(1, { cellV: 0.002 })], []).volts).toEqual([3.25, 3.2]));
	it('breaks where samples are missing, and only there', () => {
		const samples = [sample(0), sample(1), sample(4), sample(5)];
		expect(liveCurve(samples, [sample(4).atMs]).volts).toEqual([3.2, 3.2, null, 3.2, 3.2]);
		expect(liveCurve(samples, [sample(0).atMs]).volts).toEqual([3.2, 3.2, 3.2, 3.2]);
		expect(liveCurve(samples, [sample(4).atMs, sample(3).atMs]).volts).toHaveLength(5);
	});
	it('breaks after a pause, though it counts no gap', () => {
		const at = (hour: number) => new Date(sample(hour).atMs).toISOString();
		const ends = gapEnds([
			{ kind: 'paused', happenedAt: at(1) },
			{ kind: 'gap', happenedAt: at(6) },
			{ kind: 'done', happenedAt: at(7) }
		]);
		expect(
			liveCurve(
				[0, 1, 4, 5, 6, 7].map((h) => sample(h)),
				ends
			).volts
		).toEqual([3.2, 3.2, null, 3.2, 3.2, null, 3.2, 3.2]);
	});
	it('draws no voltage where nobody measured one, rather than nought', () =>
		expect(liveCurve([sample(0, { voltageV: null }), sample(1)], []).volts).toEqual([null, 3.2]));
	it('does not draw the rest after a run as its curve turning up: the line breaks where the current ends', () => {
		const ended = [sample(0), sample(1, { voltageV: 2.6 }), sample(2, { voltageV: 2.95, currentA: 0 })];
		expect(liveCurve(ended, []).volts).toEqual([3.2, 2.6, null, 2.95]);
	});
	it('is empty without samples', () => expect(liveCurve([], [5]).hours).toEqual([]));
	it('keeps ends and dips of a long run, on the page and on the chart', () => {
		const long = Array.from({ length: 9000 }, (_, i) => sample(i / 100, i === 4321 ? { voltageV: 2.6 } : {}));
		const kept = keptSamples(long);
		expect(kept.length).toBeLessThan(4000);
		expect(kept.some((s) => s.voltageV === 2.6)).toBe(true);
		expect([kept[0], kept.at(-1)]).toEqual([long[0], long.at(-1)]);
		expect(liveCurve(long, []).volts).toContain(2.6);
		expect(liveCurve(long, []).hours.length).toBeLessThan(720);
		expect(keptSamples(long.slice(0, 4000))).toHaveLength(4000);
	});
});
