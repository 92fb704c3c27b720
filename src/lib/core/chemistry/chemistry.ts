/** Cell chemistries the product recognises. LFP is what it is for; the others get their own limits. */
export const CHEMISTRIES = ['LFP', 'LTO', 'NMC'] as const;
export type Chemistry = (typeof CHEMISTRIES)[number];

export interface ChemistryFigures {
	nominalV: number;
	chargeLimitV: number;
	dischargeLimitV: number;
	/** Rest voltages a cell of this chemistry can plausibly show on arrival, V. */
	plausibleRestV: readonly [number, number];
	chargeColdC: number;
	chargeHotC: number;
	dischargeColdC: number;
	dischargeHotC: number;
	chargeCRate: number;
	dischargeCRate: number;
}

/** Default figures per chemistry (typical; the cell maker's own take precedence). Volts per cell, degrees Celsius. */
export const CHEMISTRY_FIGURES: Record<Chemistry, ChemistryFigures> = {
	LFP: {
		nominalV: 3.2,
		chargeLimitV: 3.65,
		dischargeLimitV: 2.5,
		plausibleRestV: [2.0, 3.65],
		chargeColdC: 0,
		chargeHotC: 45,
		dischargeColdC: -20,
		dischargeHotC: 60,
		chargeCRate: 0.5,
		dischargeCRate: 1
	},
	LTO: {
		nominalV: 2.3,
		chargeLimitV: 2.8,
		dischargeLimitV: 1.5,
		plausibleRestV: [1.2, 2.8],
		chargeColdC: -20,
		chargeHotC: 55,
		dischargeColdC: -30,
		dischargeHotC: 55,
		chargeCRate: 4,
		dischargeCRate: 4
	},
	NMC: {
		nominalV: 3.65,
		chargeLimitV: 4.2,
		dischargeLimitV: 2.8,
		plausibleRestV: [2.5, 4.2],
		chargeColdC: 0,
		chargeHotC: 45,
		dischargeColdC: -20,
		dischargeHotC: 60,
		chargeCRate: 0.5,
		dischargeCRate: 1
	}
};

/** A voltage so many times the highest a cell can rest at is no single cell's (default). */
const ABOVE_ONE_CELL = 1.2;

/** Above this, V, a reading is not of one cell: a slipped decimal, or more than one cell between the probes. */
export const mostOfOneCellV = (chemistry: Chemistry): number =>
	CHEMISTRY_FIGURES[chemistry].plausibleRestV[1] * ABOVE_ONE_CELL;
