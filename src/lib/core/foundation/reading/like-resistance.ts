import type { SocBounds } from '../chemistry';
import { median } from '../statistics';

/** Resistance by temperature, K (models §3). */
const RESISTANCE_K = 2600;
const ZERO_C_K = 273.15;
/** A resistance read near empty or near full differs from one on the plateau by up to about so much of itself, one sd (default). */
const OTHER_REGION_SD = 0.1;
/** Where the plateau ends, as fractions of charge. */
const PLATEAU = { from: 0.15, to: 0.95 };

/** How and where the probes of a resistance meter sat. */
export const PROBES = ['four-wire', 'on-bolts', 'two-wire'] as const;
export type Probe = (typeof PROBES)[number];
export const PROBE_NAMES: Record<Probe, string> = {
	'four-wire': 'four wires, on the terminals',
	'on-bolts': 'four wires, on bolts or bars',
	'two-wire': 'two wires'
};
/** A reading with its probes elsewhere than most holds leads or bolts, one sd as a fraction of itself (default). */
const OTHER_PROBE_SD = 0.3;

export type ChargeRegion = 'low' | 'plateau' | 'high';

/** Where on its curve a cell surely was; null where its charge does not tell. */
export function chargeRegion(charge: Pick<SocBounds, 'lowFraction' | 'highFraction'> | undefined): ChargeRegion | null {
	if (!charge) return null;
	if (charge.highFraction <= PLATEAU.from) return 'low';
	if (charge.lowFraction >= PLATEAU.to) return 'high';
	return charge.lowFraction >= PLATEAU.from && charge.highFraction <= PLATEAU.to ? 'plateau' : null;
}

/**
 * A resistance at another temperature, with half of what that moves added to its doubt (models §3, §6).
 * @param mohm mΩ @param sdMohm one sd, mΩ @param fromC as it was read, °C @param toC as it is compared, °C
 */
export function resistanceAt(
	mohm: number,
	sdMohm: number,
	fromC: number,
	toC: number
): { mohm: number; sdMohm: number } {
	const factor = Math.exp(RESISTANCE_K * (1 / (toC + ZERO_C_K) - 1 / (fromC + ZERO_C_K)));
	return { mohm: mohm * factor, sdMohm: Math.hypot(sdMohm * factor, (mohm * Math.abs(factor - 1)) / 2) };
}

interface ReadResistance {
	id: number;
	acResistanceMohm: number | null;
	acResistanceSdMohm: number | null;
	temperatureC?: number | null;
	/** Null or missing: nobody said; taken as most were. */
	probe?: Probe | null;
}

/** The commonest of a list; of those as common, the first of all. */
function mostOf<T>(all: readonly [T, ...T[]], list: readonly T[]): T {
	const count = (one: T) => list.filter((other) => other === one).length;
	return all.reduce((a, b) => (count(b) > count(a) ? b : a));
}

/** Resistances brought to the middle temperature of those known; one read in another charge region, or with its probes elsewhere, than most is doubted more. */
export function likeResistances<T extends ReadResistance>(
	cells: readonly T[],
	charges: Record<number, SocBounds>
): T[] {
	const middleC = median(cells.flatMap((c) => c.temperatureC ?? []));
	const regions = cells.flatMap((c) => (c.acResistanceMohm === null ? [] : (chargeRegion(charges[c.id]) ?? [])));
	const most = mostOf(['plateau', 'low', 'high'], regions);
	const usualProbe = mostOf(
		PROBES,
		cells.flatMap((c) => (c.acResistanceMohm === null ? [] : (c.probe ?? [])))
	);
	return cells.map((c) => {
		if (c.acResistanceMohm === null) return c;
		const { mohm, sdMohm } =
			middleC === null || c.temperatureC == null
				? { mohm: c.acResistanceMohm, sdMohm: c.acResistanceSdMohm ?? 0 }
				: resistanceAt(c.acResistanceMohm, c.acResistanceSdMohm ?? 0, c.temperatureC, middleC);
		const region = chargeRegion(charges[c.id]);
		const elsewhere = region !== null && region !== most ? OTHER_REGION_SD * mohm : 0;
		const otherwise = c.probe != null && c.probe !== usualProbe ? OTHER_PROBE_SD * mohm : 0;
		return { ...c, acResistanceMohm: mohm, acResistanceSdMohm: Math.hypot(sdMohm, elsewhere, otherwise) };
	});
}
