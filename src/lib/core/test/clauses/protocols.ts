import { CHEMISTRY_FIGURES, type Chemistry } from '../../foundation/chemistry';
import type { Clause } from '../../picture';

/** How a capacity run is made; what is null is left as it stands. */
export interface Protocol {
	name: string;
	chargeV: number | null;
	/** Of the charge, and where it ends, 1/h of the rated capacity. */
	chargeCRate: number | null;
	tailCRate: number | null;
	/** Between charge and discharge, h. */
	restH: number | null;
	dischargeCRate: number | null;
	cutoffV: number | null;
	/** Run at this temperature on purpose, °C; null: at that of the room. */
	temperatureC: number | null;
}

interface Limits {
	chargeLimitV: number;
	dischargeLimitV: number;
	/** The most the maker allows, 1/h. */
	chargeCRate: number;
}

/** A gentle charge stays so far below the limit, and a gentle discharge ends so far above it, V. */
const GENTLE_V = { charge: 0.1, discharge: 0.3 };
/** Another temperature on purpose: what a summer's cabin and a frost do (default), °C; and until a cell is at it all through, h. */
const [WARM_BOX_C, COLD_C, THROUGH_H] = [35, 0, 12];

/**
 * Ways to run a cell that need nobody to write them down: as its maker measures it, quick (0.5 C and a short rest), gentle (0.1 C within the
 * limits), and at another temperature on purpose: charged in the room, left there until it is warm or cold through. The quick one is too fast, and the gentle one ends too early, for a claim: the strip says so.
 * @param clause what the maker promises; null: as usual
 */
export function builtInProtocols(limits: Limits, clause: Omit<Clause, 'capacityAh'> | null): Protocol[] {
	const chargeCRate = Math.min(0.3, limits.chargeCRate);
	const full: Protocol = {
		name: 'As the maker measures it',
		chargeV: clause?.chargeV ?? limits.chargeLimitV,
		chargeCRate,
		tailCRate: clause?.tailCRate ?? 0.05,
		restH: clause?.restH ?? 1,
		dischargeCRate: clause?.dischargeCRate ?? 0.2,
		cutoffV: clause?.cutoffV ?? limits.dischargeLimitV,
		temperatureC: null
	};
	return [
		full,
		{ ...full, name: 'Quick', chargeCRate: Math.min(0.5, limits.chargeCRate), restH: 0.25, dischargeCRate: 0.5 },
		{
			...full,
			name: 'Gentle',
			chargeCRate: Math.min(0.1, limits.chargeCRate),
			dischargeCRate: 0.1,
			restH: 2,
			chargeV: limits.chargeLimitV - GENTLE_V.charge,
			cutoffV: limits.dischargeLimitV + GENTLE_V.discharge
		},
		{ ...full, name: 'In a warm box', temperatureC: WARM_BOX_C, restH: THROUGH_H },
		{ ...full, name: 'In the cold', temperatureC: COLD_C, restH: THROUGH_H }
	];
}

/** The built-in ones by the sheet of the type, where there is one, and those somebody has kept. */
export function protocolsFor<Own extends Protocol>(
	chemistry: Chemistry,
	sheet: { [K in keyof Limits]: Limits[K] | null } | null,
	clause: Omit<Clause, 'capacityAh'> | null,
	own: readonly Own[]
): Protocol[] {
	const usual = CHEMISTRY_FIGURES[chemistry];
	const limits: Limits = {
		chargeLimitV: sheet?.chargeLimitV ?? usual.chargeLimitV,
		dischargeLimitV: sheet?.dischargeLimitV ?? usual.dischargeLimitV,
		chargeCRate: sheet?.chargeCRate ?? usual.chargeCRate
	};
	return [...builtInProtocols(limits, clause), ...own];
}
