import type { ChemistryKind } from './kind';

/** Lithium titanate, so that a salvaged module is recognised and given its own limits. Typical figures, no maker's data. */
export const LTO: ChemistryKind = {
	figures: {
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
	restPoints: [
		[0, 1.8],
		[2, 2.0],
		[5, 2.1],
		[10, 2.15],
		[30, 2.2],
		[50, 2.25],
		[70, 2.31],
		[90, 2.41],
		[97, 2.5],
		[100, 2.65]
	],
	topBalanceV: 2.75,
	hysteresisV: 0.006,
	leakRisesAboveV: 2.65,
	risesToFullFromV: 2.5
};
