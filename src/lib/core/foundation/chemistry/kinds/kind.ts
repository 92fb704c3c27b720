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

/** All that is known of one chemistry (default; the cell maker's own takes precedence). Volts a cell, °C. */
export interface ChemistryKind {
	figures: ChemistryFigures;
	/** SoC in percent and rest voltage in V at 25 °C, mean of charge and discharge branches. */
	restPoints: readonly (readonly [number, number])[];
	/** What a supply is set to for a top balance (default): full within half a percent, and clear of the limit. */
	topBalanceV: number;
	/** Half-width of the hysteresis loop on the plateau, V. */
	hysteresisV: number;
	/** Terminal voltage above which a cell leaks faster and faster, V. */
	leakRisesAboveV: number;
	/** Where the curve begins to rise to full, V. */
	risesToFullFromV: number;
}
