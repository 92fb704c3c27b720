import { chiSquareQuantile } from '../../foundation/statistics';

/** A line of the notes, as it is compared. */
export interface Note {
	index: number;
	timeS: number | null;
	ah: number | null;
	voltageV: number | null;
	/** Read so soon after the charge before that it may read higher than any discharge does. */
	fresh: boolean;
}

/** One way the run may have been. */
export interface World {
	capacityAh: number;
	/** Mean current out, A. */
	currentA: number;
	/** Volts expected of each note; null where it has none to compare. */
	expectedV: readonly (number | null)[];
	/** Ah taken at the cut-off. */
	endAh: number;
	logPrior: number;
}

/** A figure copied by hand from a display, one sd, V. */
const NOTE_SD_V = 0.004;
/** A figure slips as often as this, and then shows anything in so many volts (default): one that fits no run then counts for nothing. */
const SLIPS = { share: 0.01, overV: 1 };
/** Doubts are widened until the best run is no further off than one in a hundred is, and so many drawn runs still have a say. */
const FIT = { chance: 0.01, fewest: 40, widerBy: 1.25, widest: 30 };
/** Fewer notes name none as odd. */
export const MIN_FOR_ODD = 3;

/** Chance of what a slipped figure shows, over that of a right one. */
const slipOdds = (sdV: number) => (SLIPS.share / SLIPS.overV) * sdV * Math.sqrt(2 * Math.PI);

export function logsOf(
	worlds: readonly World[],
	notes: readonly Note[],
	limitV: number,
	noiseFactor: number
): number[][] {
	const sdV = NOTE_SD_V * noiseFactor;
	const slipped = slipOdds(sdV);
	return worlds.map((w) =>
		notes.map((n, i) => {
			const expectedV = w.expectedV[i]!;
			return expectedV === null ? 0 : Math.log(Math.exp(-0.5 * (apartV(n, expectedV, limitV) / sdV) ** 2) + slipped);
		})
	);
}

/** Squared distance of the run that fits best, in sd, over what one in a hundred exceeds. */
function misfitOf(worlds: readonly World[], notes: readonly Note[], kept: readonly number[], limitV: number): number {
	const compared = kept.filter((i) => worlds[0]!.expectedV[i] !== null);
	if (compared.length === 0) return 0;
	const best = worlds.reduce((least, w) => {
		const own = compared.reduce((sum, i) => sum + (apartV(notes[i]!, w.expectedV[i]!, limitV) / NOTE_SD_V) ** 2, 0);
		return Math.min(least, own);
	}, Infinity);
	return best / chiSquareQuantile(1 - FIT.chance, compared.length);
}

/** Weights of the drawn runs by the notes kept; their doubt widened where no run fits them, or hardly one does. */
export function widened(
	worlds: readonly World[],
	notes: readonly Note[],
	kept: readonly number[],
	limitV: number
): { weights: number[]; noiseFactor: number } {
	const misfit = misfitOf(worlds, notes, kept, limitV);
	let noiseFactor = misfit > 1 ? Math.sqrt(misfit) : 1;
	const isMisfit = noiseFactor > 1;
	for (;;) {
		const weights = weightsOf(worlds, logsOf(worlds, notes, limitV, noiseFactor), kept);
		const [sum, squares] = weights.reduce(([s, q], w) => [s + w, q + w * w] as [number, number], [0, 0]);
		if (sum ** 2 / squares >= FIT.fewest || noiseFactor > FIT.widest)
			return { weights, noiseFactor: isMisfit ? noiseFactor : 1 };
		noiseFactor *= FIT.widerBy;
	}
}

/** How far a note lies from what is expected of it, V: nothing where it is only higher and still fresh from a charge (to the charge limit). */
function apartV({ voltageV, fresh }: Note, expectedV: number, chargeLimitV: number): number {
	const apart = voltageV! - expectedV;
	return fresh && apart > 0 && voltageV! <= chargeLimitV + NOTE_SD_V ? 0 : apart;
}

function weightsOf(worlds: readonly World[], logs: readonly (readonly number[])[], kept: readonly number[]): number[] {
	const sums = worlds.map((w, i) => kept.reduce((sum, k) => sum + logs[i]![k]!, w.logPrior));
	const most = sums.reduce((a, b) => Math.max(a, b), -Infinity);
	return sums.map((s) => Math.exp(s - most));
}

/** The note least expected by all others, where a slip of the pen is likelier than any run of such a cell that shows it; null while none is. */
export function oddOf(
	notes: readonly Note[],
	worlds: readonly World[],
	logs: readonly (readonly number[])[],
	limitV: number
): number | null {
	const compared = notes.flatMap((n, i) => (worlds[0]!.expectedV[i] === null ? [] : [{ n, i }]));
	if (compared.length < MIN_FOR_ODD) return null;
	const all = notes.map((_, i) => i);
	const far = compared.map(({ n, i }) => {
		const weights = weightsOf(
			worlds,
			logs,
			all.filter((k) => k !== i)
		);
		const total = weights.reduce((a, b) => a + b, 0);
		const expected = worlds.reduce(
			(sum, w, k) => sum + weights[k]! * Math.exp(-0.5 * (apartV(n, w.expectedV[i]!, limitV) / NOTE_SD_V) ** 2),
			0
		);
		return { index: n.index, expected: expected / total };
	});
	const worst = far.reduce((a, b) => (b.expected < a.expected ? b : a));
	return worst.expected < slipOdds(NOTE_SD_V) ? worst.index : null;
}
