import type { Chemistry } from '../../foundation/chemistry';
import type { Strategy } from '../../picture';

export interface StrategyFigures {
	absorbV: number;
	floatV: number;
	cellHighV: number;
	cellHighReleaseV: number;
	loadCutoffV: number;
	/** Loads come back above this. */
	loadReconnectV: number;
	cellLowV: number;
	cellLowReleaseV: number;
	/** Charging is blocked below this even if the maker allows less, °C. */
	coldestChargeC: number;
	balanceStartV: number;
	rebulkV: number;
}

const ORDER = [
	'absorbV',
	'floatV',
	'cellHighV',
	'cellHighReleaseV',
	'loadCutoffV',
	'loadReconnectV',
	'cellLowV',
	'cellLowReleaseV',
	'coldestChargeC',
	'balanceStartV',
	'rebulkV'
] as const satisfies readonly (keyof StrategyFigures)[];

type NumberEach<Names extends readonly string[]> = { readonly [K in keyof Names]: number };

type Row = NumberEach<typeof ORDER>;

const row = (figures: Row): StrategyFigures =>
	Object.fromEntries(ORDER.map((key, i) => [key, figures[i]])) as unknown as StrategyFigures;

/** Volts per cell by chemistry and strategy (default). LFP as practised; LTO and NMC scaled to their own curves. */
export const STRATEGY_FIGURES: Record<Chemistry, Record<Strategy, StrategyFigures>> = {
	LFP: {
		'full-span': row([3.6, 3.375, 3.65, 3.5, 3.0, 3.25, 2.7, 3.25, 0, 3.4, 3.3]),
		'middle-road': row([3.5, 3.35, 3.65, 3.45, 3.1, 3.28, 2.8, 3.25, 5, 3.4, 3.3]),
		'long-life': row([3.45, 3.33, 3.6, 3.42, 3.15, 3.3, 2.9, 3.25, 5, 3.4, 3.3])
	},
	LTO: {
		'full-span': row([2.7, 2.5, 2.8, 2.6, 1.8, 2.15, 1.5, 1.9, -20, 2.5, 2.3]),
		'middle-road': row([2.6, 2.45, 2.75, 2.55, 1.9, 2.2, 1.6, 2.0, -20, 2.45, 2.3]),
		'long-life': row([2.55, 2.4, 2.7, 2.5, 2.0, 2.2, 1.7, 2.05, -10, 2.45, 2.25])
	},
	NMC: {
		'full-span': row([4.15, 4.05, 4.2, 4.1, 3.2, 3.5, 2.8, 3.3, 0, 4.05, 3.95]),
		'middle-road': row([4.1, 4.0, 4.2, 4.05, 3.3, 3.55, 3.0, 3.4, 5, 4.0, 3.9]),
		'long-life': row([4.0, 3.9, 4.1, 3.95, 3.4, 3.6, 3.1, 3.5, 5, 3.95, 3.85])
	}
};
