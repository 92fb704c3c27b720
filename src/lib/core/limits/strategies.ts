import type { Chemistry } from '../chemistry';

/** How much of the cells a person wants to use, against how long they should last. */
export const STRATEGIES = ['full-span', 'middle-road', 'long-life'] as const;
export type Strategy = (typeof STRATEGIES)[number];

export interface StrategyFigures {
	absorbV: number;
	floatV: number;
	cellHighV: number;
	cellHighReleaseV: number;
	loadCutoffV: number;
	cellLowV: number;
	cellLowReleaseV: number;
	/** Charging is blocked below this even if the maker allows less, °C. */
	coldestChargeC: number;
	balanceStartV: number;
	rebulkV: number;
}

type Row = readonly [number, number, number, number, number, number, number, number, number, number];

const row = (figures: Row): StrategyFigures => {
	const [
		absorbV,
		floatV,
		cellHighV,
		cellHighReleaseV,
		loadCutoffV,
		cellLowV,
		cellLowReleaseV,
		coldestChargeC,
		balanceStartV,
		rebulkV
	] = figures;
	return {
		absorbV,
		floatV,
		cellHighV,
		cellHighReleaseV,
		loadCutoffV,
		cellLowV,
		cellLowReleaseV,
		coldestChargeC,
		balanceStartV,
		rebulkV
	};
};

/** Volts per cell by chemistry and strategy (default). LFP as practised; LTO and NMC scaled to their own curves. */
export const STRATEGY_FIGURES: Record<Chemistry, Record<Strategy, StrategyFigures>> = {
	LFP: {
		'full-span': row([3.6, 3.375, 3.65, 3.5, 2.8, 2.5, 2.9, 0, 3.4, 3.3]),
		'middle-road': row([3.5, 3.35, 3.65, 3.45, 3.0, 2.7, 3.0, 5, 3.4, 3.3]),
		'long-life': row([3.45, 3.33, 3.6, 3.42, 3.1, 2.8, 3.05, 5, 3.4, 3.3])
	},
	LTO: {
		'full-span': row([2.7, 2.5, 2.8, 2.6, 1.8, 1.5, 1.9, -20, 2.5, 2.3]),
		'middle-road': row([2.6, 2.45, 2.75, 2.55, 1.9, 1.6, 2.0, -20, 2.45, 2.3]),
		'long-life': row([2.55, 2.4, 2.7, 2.5, 2.0, 1.7, 2.05, -10, 2.45, 2.25])
	},
	NMC: {
		'full-span': row([4.15, 4.05, 4.2, 4.1, 3.2, 2.8, 3.3, 0, 4.05, 3.95]),
		'middle-road': row([4.1, 4.0, 4.2, 4.05, 3.3, 3.0, 3.4, 5, 4.0, 3.9]),
		'long-life': row([4.0, 3.9, 4.1, 3.95, 3.4, 3.1, 3.5, 5, 3.95, 3.85])
	}
};
