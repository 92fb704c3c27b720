import { CoreError, requireFinite, requirePositive } from '../../foundation/errors';

/** Something that measured the same charge. */
export type Witness =
	| { kind: 'ah'; ah: number; sdAh?: number | null }
	| { kind: 'wh'; wh: number }
	| { kind: 'hours-amps'; hours: number; amps: number }
	| { kind: 'watts-hours'; watts: number; hours: number }
	| { kind: 'kwh-out'; kwh: number; efficiency?: number | null }
	| { kind: 'water'; litres: number; fromC: number; toC: number };
export const WITNESS_KINDS = ['ah', 'wh', 'hours-amps', 'watts-hours', 'kwh-out', 'water'] as const;

/** What one says: charge or energy, as a logarithm with its sd. */
export interface Statement {
	of: 'ah' | 'wh';
	value: number;
	log: number;
	sd: number;
}

/** One sd as a share (default): a counter's gain, hours × amps off a display, watts off a label or a plug meter. */
const SD = { counter: 0.01, hoursAmps: 0.02, wattsHours: 0.03, givenEfficiency: 0.01 };
/** What comes out as alternating current, and what warms the water (default). */
const OUT = { efficiency: 0.9, sd: 0.03 };
const WARMS = { efficiency: 0.9, sd: 0.05 };
/** Wh to warm a litre by one K. */
const WATER_WH = 1.163;
const READS_TO_K = 0.5;

/** A witness in Ah or Wh with its doubt (models §21). @throws CoreError `not-positive`, `not-a-number`, `order` */
export function statementOf(witness: Witness, path: string): Statement {
	const said = (of: 'ah' | 'wh', value: number, sd: number): Statement => ({ of, value, log: Math.log(value), sd });
	const positive = (value: number, key: string) => requirePositive(value, `${path}.${key}`);
	switch (witness.kind) {
		case 'ah': {
			const ah = positive(witness.ah, 'ah');
			const sd = witness.sdAh == null ? SD.counter : Math.max(1e-4, positive(witness.sdAh, 'sdAh') / ah);
			return said('ah', ah, sd);
		}
		case 'wh':
			return said('wh', positive(witness.wh, 'wh'), SD.counter);
		case 'hours-amps':
			return said('ah', positive(witness.hours, 'hours') * positive(witness.amps, 'amps'), SD.hoursAmps);
		case 'watts-hours':
			return said('wh', positive(witness.watts, 'watts') * positive(witness.hours, 'hours'), SD.wattsHours);
		case 'kwh-out': {
			const given = witness.efficiency ?? null;
			if (given !== null && !(requireFinite(given, `${path}.efficiency`) > 0.3 && given <= 1))
				throw new CoreError(
					'out-of-range',
					`${path}.efficiency`,
					`${path}.efficiency requires more than 0.3 and at most 1, got ${given}`
				);
			const wh = (1000 * positive(witness.kwh, 'kwh')) / (given ?? OUT.efficiency);
			return said('wh', wh, Math.hypot(SD.counter, given === null ? OUT.sd / OUT.efficiency : SD.givenEfficiency));
		}
		case 'water': {
			const rise = requireFinite(witness.toC, `${path}.toC`) - requireFinite(witness.fromC, `${path}.fromC`);
			if (!(rise > 0))
				throw new CoreError(
					'order',
					`${path}.toC`,
					`${path}.toC requires more than fromC, ${witness.fromC}; got ${witness.toC}`
				);
			const wh = (WATER_WH * positive(witness.litres, 'litres') * rise) / WARMS.efficiency;
			return said('wh', wh, Math.hypot(WARMS.sd / WARMS.efficiency, (Math.SQRT2 * READS_TO_K) / rise));
		}
	}
}
