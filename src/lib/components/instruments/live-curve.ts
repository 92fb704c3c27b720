import type { LiveSampleShown } from '$lib/client/live/live-line';
import { thinCurve } from '$lib/core/test/log';
import { probesAreOff } from '$lib/core/foundation/live-run';

/** A page keeps at most so many samples of a run; beyond, it keeps half of them, every dip and peak included. */
const MAX_KEPT = 4000;
/** Points drawn at most, about. */
const MAX_DRAWN = 700;

/** Less than this share of a run's largest current is none. */
const RESTING = 0.01;

/** Voltage at the cells where a meter touches them, else at the instrument; V, null where nobody measured. */
const volts = (s: LiveSampleShown): number | null =>
	s.cellV === null || probesAreOff(s.cellV, s.voltageV) ? s.voltageV : s.cellV;

const thinnedTo = (samples: readonly LiveSampleShown[], points: number): LiveSampleShown[] =>
	thinCurve(
		samples.map((s) => volts(s) ?? 0),
		points / 2
	).map((i) => samples[i]!);

/** Samples a page goes on with. */
export const keptSamples = (samples: LiveSampleShown[]): LiveSampleShown[] =>
	samples.length <= MAX_KEPT ? samples : thinnedTo(samples, MAX_KEPT / 2);

/** After each of these nothing was read for a while, though no gap is counted. */
const BREAKS = ['paused', 'dead-man', 'no-database', 'output-lost', 'over-voltage', 'not-as-set', 'restart'];

/** First moments after gaps, by what happened in a run; ms since 1970. */
export const gapEnds = (events: readonly { kind: string; happenedAt: string }[]): number[] =>
	events.flatMap(({ kind, happenedAt }) =>
		kind === 'gap'
			? [Date.parse(happenedAt)]
			: // These bear the time of the last sample before.
				BREAKS.includes(kind)
				? [Date.parse(happenedAt) + 1]
				: []
	);

export interface LiveCurve {
	/** Since the first sample. */
	hours: number[];
	/** V and A; null where the line breaks. */
	volts: (number | null)[];
	amperes: (number | null)[];
}

/** The curve to draw. @param gapEndsMs first moments after gaps, ms since 1970: the line breaks before them */
export function liveCurve(samples: readonly LiveSampleShown[], gapEndsMs: readonly number[]): LiveCurve {
	const curve: LiveCurve = { hours: [], volts: [], amperes: [] };
	const gaps = [...gapEndsMs].sort((a, b) => a - b);
	const startMs = samples[0]?.atMs ?? 0;
	const mostA = samples.reduce((most, s) => Math.max(most, Math.abs(s.currentA ?? 0)), 0);
	let flowed = samples.length > 0 && Math.abs(samples[0]!.currentA ?? 0) > mostA * RESTING;
	for (const s of thinnedTo(samples, MAX_DRAWN)) {
		const hour = (s.atMs - startMs) / 3_600_000;
		const isAfterGap = gaps.length > 0 && s.atMs >= gaps[0]! && curve.hours.length > 0;
		while (gaps.length && s.atMs >= gaps[0]!) gaps.shift();
		const flows = Math.abs(s.currentA ?? 0) > mostA * RESTING;
		// What a cell does at rest is not the curve of its run: the line breaks where the current goes or comes.
		if (isAfterGap || flows !== flowed) add(curve, hour, null, null);
		flowed = flows;
		add(curve, hour, volts(s), s.currentA);
	}
	return curve;
}

function add(curve: LiveCurve, hour: number, volt: number | null, ampere: number | null): void {
	curve.hours.push(hour);
	curve.volts.push(volt);
	curve.amperes.push(ampere);
}
