import { max, mean, min, range, sum } from 'd3-array';
import { mostOfOneCellV } from '../../foundation/chemistry';
import { drawnCharges } from '../../match/forecast';
import { CoreError, requirePositive } from '../../foundation/errors';
import { intervalOf, normalDraw, seededRandom, type Interval, type Random } from '../../foundation/statistics';
import { simulate } from '../../world/simulation';
import { USUAL_OHM_AH, readyToJoin, type JoinInput } from './join-check';

/** What standing joined has done after so long, nothing charged meanwhile. */
export interface LeftJoined {
	hours: number;
	/** Moved from the fuller to the emptier ones, Ah, 95 %. */
	movedAh: Interval;
	/** Between the fullest and the emptiest of them: as they were joined, and then, Ah, 95 %. */
	apartAh: Interval;
	leftAh: Interval;
}

/** More drawn worlds with few cells than with many: the work stays the same. */
const CELL_DRAWS = 120;
const MIN_DRAWS = 12;
const MAX_DRAWS = 30;
const SEED = 20_261_201;
const STEP_S = 20;
const HOUR_S = 3600;
/** Cells that are about to be joined have rested for a day or more. */
const RESTED_S = 86_400;
const RESISTANCE_LN_SD = 0.25;
/** Of the loop's width as a logarithm, and of the curve at each of its knots, V, one sd (default). */
const LOOP_LN_SD = 0.4;
const CURVE_SD_V = 0.004;
const CURVE_KNOTS = 5;
/** Longest that is told, h. */
const MAX_H = 168;

/**
 * How much of what parts them cells lose by standing joined in parallel without a charge: each drawn world gives them charges that their rest
 * voltages allow, and lets the model of the cell flow (models §4). On the plateau a few millivolts drive what is many ampere-hours apart.
 * @param hours moments that are told, rising, at most a week
 * @throws CoreError as the joining check, `out-of-range` for other hours, or voltages that no one cell can have
 */
export function leftJoined(input: JoinInput, hours: readonly number[]): LeftJoined[] {
	const own = readyToJoin(input);
	const { chemistry, linkOhm } = input;
	hours.forEach((h, i) => requirePositive(h, `hours.${i}`));
	const lastH = max(hours);
	if (lastH === undefined || lastH > MAX_H || hours.some((h, i) => i > 0 && h <= hours[i - 1]!))
		throw new CoreError('out-of-range', 'hours', `hours requires rising numbers up to ${MAX_H}`);
	own.forEach(({ item, cells }, i) => {
		const volts = item.restVoltageV / cells;
		if (!(volts > 0 && volts <= mostOfOneCellV(chemistry)))
			throw new CoreError(
				'out-of-range',
				`items.${i}.restVoltageV`,
				'restVoltageV requires what such an item can rest at'
			);
	});
	const random = seededRandom(SEED);
	const draws = Math.min(MAX_DRAWS, Math.max(MIN_DRAWS, Math.round(CELL_DRAWS / own.length)));
	const drawn = drawnCharges(
		own.map(({ item, cells, sdV }, id) => ({
			id,
			rest: { voltageV: item.restVoltageV / cells, sdV: sdV / cells, restS: RESTED_S }
		})),
		chemistry,
		random
	);
	const everyS = HOUR_S * greatestStep(hours);
	const worlds = range(draws).map(() => {
		const soc = drawn();
		const cells = own.map(({ item, cells: series, ohm }, id) => {
			const usual = USUAL_OHM_AH / item.capacityAh;
			return {
				id,
				capacityAh: item.capacityAh,
				soc: Math.min(1, Math.max(0, soc.get(id)!)),
				resistanceFactor: (ohm / series / usual) * Math.exp(normalDraw(random, 0, RESISTANCE_LN_SD))
			};
		});
		const { cells: recorded } = simulate({
			world: {
				chemistry,
				cells,
				seed: SEED,
				nature: drawnNature(random),
				wiring: { kind: 'parallel', linkOhm: linkOhm / Math.max(...own.map((r) => r.cells)) }
			},
			steps: [{ kind: 'rest', until: { durationS: lastH * HOUR_S } }],
			stepS: STEP_S,
			recordEveryS: everyS
		});
		const socs = cells.map((c) => recorded[c.id]!.soc);
		const meanAh = mean(cells, (c) => c.capacityAh)!;
		const apartAt = (k: number) => (max(socs, (s) => s[k]!)! - min(socs, (s) => s[k]!)!) * meanAh;
		return hours.map((h) => {
			const k = Math.min(socs[0]!.length - 1, Math.round((h * HOUR_S) / everyS));
			return {
				movedAh: sum(cells, (c, i) => Math.abs(socs[i]![k]! - socs[i]![0]!) * c.capacityAh) / 2,
				apartAh: apartAt(0),
				leftAh: apartAt(k)
			};
		});
	});
	return hours.map((h, i) => ({
		hours: h,
		movedAh: intervalOf(worlds.map((w) => w[i]!.movedAh)),
		apartAh: intervalOf(worlds.map((w) => w[i]!.apartAh)),
		leftAh: intervalOf(worlds.map((w) => w[i]!.leftAh))
	}));
}

/** How cells may differ from the typical one: another curve, a wider or narrower loop. What holds them apart is not known better. */
const drawnNature = (random: Random) => ({
	hysteresis: Math.exp(normalDraw(random, 0, LOOP_LN_SD)),
	curveOffsetV: range(CURVE_KNOTS).map(() => normalDraw(random, 0, CURVE_SD_V))
});

/** The longest step that meets all of the hours, h; a quarter of an hour where none does. */
function greatestStep(hours: readonly number[]): number {
	const whole = hours.every((h) => Number.isInteger(h));
	return whole ? hours.reduce((a, b) => divisor(a, b)) : 0.25;
}
const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b));
