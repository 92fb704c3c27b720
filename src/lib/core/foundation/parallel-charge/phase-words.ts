export type ChargePhase = 'not-started' | 'off' | 'constant-current' | 'lead-limited' | 'taper' | 'held';

/** The phases of a parallel charge in words. */
export const PHASE_WORDS: Record<ChargePhase, string> = {
	'not-started': 'not started',
	off: 'switched off',
	'constant-current': 'at full current',
	'lead-limited': 'held back by its leads',
	taper: 'in the taper',
	held: 'at the tail'
};

/** What still keeps a charge from being done. */
export type Unmet =
	| { wanted: 'first-reading' }
	| { wanted: 'supply-at-set'; setV: number }
	| { wanted: 'meter-at-cells' }
	| { wanted: 'cells-at-set'; setV: number; cellV: number }
	| { wanted: 'tail-held'; tailA: number; minutes: number };

/** What is still to reach, in words; never by itself: it would read as what is. */
export function unmetWords(unmet: Unmet): string {
	switch (unmet.wanted) {
		case 'first-reading':
			return 'a first reading';
		case 'supply-at-set':
			return `supply at ${unmet.setV.toFixed(2)} V`;
		case 'meter-at-cells':
			return 'a meter reading at the cells';
		case 'cells-at-set':
			return `cells at ${unmet.setV.toFixed(2)} V on your meter (now ${unmet.cellV.toFixed(3)} V)`;
		case 'tail-held':
			return `current below ${unmet.tailA.toFixed(1)} A for ${unmet.minutes} minutes`;
	}
}
