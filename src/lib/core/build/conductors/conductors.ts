import { CoreError, requirePositive } from '../../foundation/errors';

/** Resistivity of copper at 20 °C, Ω·mm²/m, and its rise with temperature, 1/K. */
const COPPER_OHM_MM2_PER_M = 0.01724;
const COPPER_PER_K = 0.00393;
const COPPER_AT_C = 20;

/** Names of American wire gauges above 1, thick to thicker, and their number. */
const AUGHTS: Record<string, number> = { '1/0': 0, '2/0': -1, '3/0': -2, '4/0': -3 };

/** Cross-section of a wire of an American gauge (`6`, `2/0`), mm². @throws CoreError `gauge` */
export function areaOfAwgMm2(gauge: string): number {
	const n = AUGHTS[gauge] ?? (/^\d{1,2}$/.test(gauge) ? Number(gauge) : NaN);
	if (!(n >= -3 && n <= 40))
		throw new CoreError('gauge', 'gauge', `gauge requires 40 to 1, or 1/0 to 4/0, got "${gauge}"`);
	const diameterMm = 0.127 * 92 ** ((36 - n) / 39);
	return (Math.PI / 4) * diameterMm ** 2;
}

/**
 * Resistance of a copper conductor, Ω. @param lengthM of the whole loop, there and back
 */
export function copperOhm(areaMm2: number, lengthM: number, temperatureC = COPPER_AT_C): number {
	requirePositive(areaMm2, 'areaMm2');
	requirePositive(lengthM, 'lengthM');
	return (COPPER_OHM_MM2_PER_M * (1 + COPPER_PER_K * (temperatureC - COPPER_AT_C)) * lengthM) / areaMm2;
}

/** Single copper in free air, insulation for 105 °C, outside engine spaces (default): mm² and A. */
const AMPACITY: readonly (readonly [number, number])[] = [
	[10, 94],
	[16, 135],
	[25, 176],
	[35, 216],
	[50, 273],
	[70, 338],
	[95, 413]
];
/** The same by gauge (default). */
const AMPACITY_AWG: Record<string, number> = {
	'10': 60,
	'8': 80,
	'6': 120,
	'4': 160,
	'2': 210,
	'1': 245,
	'1/0': 285,
	'2/0': 330,
	'3/0': 385,
	'4/0': 445
};
/** In engine spaces a cable carries less. */
const ENGINE_SPACE = 0.85;

/** Between the entries straight lines of the logarithms. @param areaMm2 within the table */
function tabledA(areaMm2: number): number {
	const above = Math.max(
		1,
		AMPACITY.findIndex(([mm2]) => mm2 >= areaMm2)
	);
	const [[lowMm2, lowA], [highMm2, highA]] = [AMPACITY[above - 1]!, AMPACITY[above]!];
	const share = Math.log(areaMm2 / lowMm2) / Math.log(highMm2 / lowMm2);
	return lowA * (highA / lowA) ** share;
}

/** What a cable is: a gauge (`AWG 2/0`, `2/0`), or its cross-section (`50`, `50 mm²`). */
export type Conductor = { awg: string } | { areaMm2: number };

/** A cable as it is written on it; null when it is none of the usual ways. */
export function conductorOf(text: string): Conductor | null {
	const trimmed = text.trim().toLowerCase();
	const gauge =
		/^(?:awg\s*)(\d{1,2}|[1-4]\/0)$/.exec(trimmed)?.[1] ??
		/^([1-4]\/0)(?:\s*awg)?$/.exec(trimmed)?.[1] ??
		/^(\d{1,2})\s*awg$/.exec(trimmed)?.[1];
	if (gauge) return { awg: gauge };
	const area = /^(\d+(?:[.,]\d+)?)\s*(?:mm2|mm²|qmm)?$/.exec(trimmed)?.[1];
	return area ? { areaMm2: Number(area.replace(',', '.')) } : null;
}

/**
 * What a single copper cable carries in free air, A (default): by the table, between its entries log–log. Bundles and conduit carry
 * less; lug, holder, insulation and the code where it lies come first.
 * @returns null outside the table
 */
export function ampacityA(conductor: Conductor, inEngineSpace = false): number | null {
	const factor = inEngineSpace ? ENGINE_SPACE : 1;
	if ('awg' in conductor) return conductor.awg in AMPACITY_AWG ? AMPACITY_AWG[conductor.awg]! * factor : null;
	const { areaMm2 } = conductor;
	requirePositive(areaMm2, 'areaMm2');
	const [least, most] = [AMPACITY[0]![0], AMPACITY[AMPACITY.length - 1]![0]];
	if (areaMm2 < least || areaMm2 > most) return null;
	return tabledA(areaMm2) * factor;
}

/** A cell's DC resistance is at least this share of its 1 kHz value when warm; nothing is taken off for joints nobody measured. */
const LOWEST_OF_AC = 0.6;

/**
 * Current a short circuit at the battery's terminals may reach, A: its voltage over the lowest plausible resistance of its cells (1 kHz
 * value × 0.6, warm), no credit for joints. Batteries in parallel add theirs.
 * @param acOhm 1 kHz resistance of one cell, Ω
 */
export function shortCircuitA(cellV: number, acOhm: number, parallel: number): number {
	requirePositive(cellV, 'cellV');
	requirePositive(acOhm, 'acOhm');
	return (cellV * requirePositive(parallel, 'parallel')) / (LOWEST_OF_AC * acOhm);
}
