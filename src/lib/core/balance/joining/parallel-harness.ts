import { CoreError, requireNotNegative, requirePositive } from '../../foundation/errors';

/** A cell as it lies, from above. */
export interface LyingCell {
	label: string;
	/** Its plus is at the upper side of the row. */
	plusUp: boolean;
}

export interface HarnessInput {
	/** In the order they lie. */
	cells: readonly LyingCell[];
	/** From pole to pole of one cell, and from cell to cell, mm. */
	poleMm: number;
	pitchMm: number;
	/** Beyond the straight way, for bends and lugs, mm of each lead. */
	spareMm?: number;
}

/** One lead from a bus to a pole. */
export interface HarnessLead {
	label: string;
	pole: 'plus' | 'minus';
	/** Cut to this, with what is spare, mm. */
	lengthMm: number;
	/** It passes over the cell and past its other pole: insulated over its whole length. */
	crosses: boolean;
}

export interface Harness {
	leads: HarnessLead[];
	/** Leads that cross; two of them over each cell that lies against its bus. */
	crossings: number;
	/** Each bus, from its first to its last tap, mm. */
	busMm: number;
	/** Of all leads and both buses, mm. */
	wireMm: number;
}

const USUAL_SPARE_MM = 60;

/**
 * Leads that join cells in parallel without turning them: the plus bus along the upper side, the minus bus along the lower one. A cell whose
 * plus is at the lower side takes two leads over its body, past each other: they are the ones that can short it, and are insulated whole.
 * Straight ways between poles; geometry only.
 * @throws CoreError `too-few` below two cells, `not-positive`, `negative`
 */
export function parallelHarness({ cells, poleMm, pitchMm, spareMm = USUAL_SPARE_MM }: HarnessInput): Harness {
	if (cells.length < 2) throw new CoreError('too-few', 'cells', `cells requires two or more, got ${cells.length}`);
	requirePositive(poleMm, 'poleMm');
	requirePositive(pitchMm, 'pitchMm');
	requireNotNegative(spareMm, 'spareMm');
	const leads = cells.flatMap(({ label, plusUp }): HarnessLead[] =>
		(['plus', 'minus'] as const).map((pole) => ({
			label,
			pole,
			crosses: !plusUp,
			lengthMm: spareMm + (plusUp ? 0 : poleMm)
		}))
	);
	const busMm = (cells.length - 1) * pitchMm;
	return {
		leads,
		crossings: leads.filter((l) => l.crosses).length,
		busMm,
		wireMm: leads.reduce((sum, l) => sum + l.lengthMm, 0) + 2 * busMm
	};
}
