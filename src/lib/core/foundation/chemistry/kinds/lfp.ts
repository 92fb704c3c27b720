import type { ChemistryKind } from './kind';

/** Lithium iron phosphate: what the product is for. Typical figures, no maker's data. */
export const LFP: ChemistryKind = {
	figures: {
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
	restPoints: [
		[0, 2.8],
		[1, 2.93],
		[2, 3.01],
		[3, 3.07],
		[5, 3.14],
		[7.5, 3.182],
		[10, 3.203],
		[15, 3.226],
		[20, 3.248],
		[25, 3.264],
		[30, 3.277],
		[35, 3.286],
		[40, 3.29],
		[50, 3.294],
		[60, 3.303],
		[65, 3.318],
		[70, 3.329],
		[75, 3.331],
		[80, 3.332],
		[90, 3.334],
		[95, 3.336],
		[97, 3.34],
		[98, 3.347],
		[99, 3.37],
		[99.5, 3.4],
		[100, 3.46]
	],
	topBalanceV: 3.6,
	hysteresisV: 0.008,
	leakRisesAboveV: 3.45,
	risesToFullFromV: 3.4
};
