import type { ChemistryKind } from './kind';

/** Nickel manganese cobalt, so that an odd cell is recognised and given its own limits. Typical figures, no maker's data. */
export const NMC: ChemistryKind = {
	figures: {
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
	},
	restPoints: [
		[0, 3.0],
		[3, 3.3],
		[10, 3.45],
		[20, 3.55],
		[40, 3.63],
		[50, 3.68],
		[60, 3.75],
		[70, 3.86],
		[80, 3.95],
		[90, 4.06],
		[100, 4.18]
	],
	topBalanceV: 4.15,
	hysteresisV: 0.01,
	leakRisesAboveV: 4.18,
	risesToFullFromV: 4.05
};
