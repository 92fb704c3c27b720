import { requireNotNegative, requirePositive } from '../../foundation/errors';

export interface PrechargeInput {
	packV: number;
	/** Of all inputs behind the switch together, F. */
	capacitanceF: number;
	resistorOhm: number;
	/** What a load that never quite sleeps draws meanwhile, W; 0 when missing. */
	bleedW?: number;
}

export interface Precharge {
	tauS: number;
	/** To 95 % of the pack's voltage: three time constants. */
	to95S: number;
	/** Heat in the resistor, J: half of C·V². */
	energyJ: number;
	/** In the first instant, W. */
	peakW: number;
	/** Where it settles, as a share of the pack's voltage: less than 95 % and a switch that waits for that never closes. */
	settlesAt: number;
}

/** Charging the inputs of inverters through a resistor before the switch closes. @throws CoreError `not-positive`, `negative` */
export function precharge({ packV, capacitanceF, resistorOhm, bleedW = 0 }: PrechargeInput): Precharge {
	requirePositive(packV, 'packV');
	requirePositive(capacitanceF, 'capacitanceF');
	requirePositive(resistorOhm, 'resistorOhm');
	requireNotNegative(bleedW, 'bleedW');
	const tauS = resistorOhm * capacitanceF;
	// A load of constant resistance, as it would draw at the full voltage.
	const bleedOhm = bleedW > 0 ? packV ** 2 / bleedW : Infinity;
	return {
		tauS,
		to95S: 3 * tauS,
		energyJ: 0.5 * capacitanceF * packV ** 2,
		peakW: packV ** 2 / resistorOhm,
		settlesAt: bleedOhm === Infinity ? 1 : bleedOhm / (bleedOhm + resistorOhm)
	};
}
