import { createCells, stepCell, stepDecay, terminalVoltageV } from '$lib/core/world/cell-model';
import { normalDraw, type Random } from '$lib/core/foundation/statistics';
import { DAYS, MONTH_OF_DAY } from '$lib/core/plan/sun';
import { panelYear, prepareYear, yearOfUse, type YearInput } from '$lib/core/plan/use-year';
import type { Question } from '../answer';
import { between, drawCell, oneOf, type TruthWorld } from '../world';

/** One in so many worlds is asked: a year in steps of five minutes takes its time. */
const ONE_IN = 6;
const STEP_S = 300;
/** Where the charge ends, and where the loads are cut off, V a cell. */
const ABSORB_V = 3.5;
const CUTOFF_V = 3;
const NOMINAL_V = 3.2;
/** What a person reckons to use between the two. */
const RECKONED = 0.96;
const ALWAYS = Array.from({ length: 24 }, (_, h) => h);

/** Weather by another law than the model's: logit-normal, its spread and its memory drawn, with the month's mean. */
function drawnWeather(random: Random, means: readonly number[], greySpells: boolean): () => Float64Array {
	const spread = between(random, 0.8, 1.7);
	const memory = greySpells ? between(random, 0.7, 0.88) : between(random, 0.2, 0.6);
	const points = Array.from({ length: 41 }, (_, i) => (i - 20) / 5);
	const density = points.map((z) => Math.exp((-z * z) / 2));
	const all = density.reduce((a, b) => a + b, 0);
	const meanOf = (a: number) =>
		points.reduce((sum, z, i) => sum + density[i]! / (1 + Math.exp(-a - spread * z)), 0) / all;
	const shifts = means.map((mean) => {
		let [low, high] = [-9, 9];
		for (let k = 0; k < 40; k++) {
			const middle = (low + high) / 2;
			if (meanOf(middle) < mean) low = middle;
			else high = middle;
		}
		return low;
	});
	let state = normalDraw(random, 0, 1);
	return () =>
		Float64Array.from({ length: DAYS }, (_, day) => {
			state = memory * state + Math.sqrt(1 - memory ** 2) * normalDraw(random, 0, 1);
			return 1 / (1 + Math.exp(-shifts[MONTH_OF_DAY[day]!]! - spread * state));
		});
}

/** Share of the days of a year that end with the loads cut off, counted in the cell itself, clouds passing within the hour. */
function livedThrough(
	input: YearInput,
	cell: ReturnType<typeof drawCell>,
	greySpells: boolean,
	{ nature, random, ratedAh }: TruthWorld
): number {
	const prepared = prepareYear(input);
	const weather = drawnWeather(random, prepared.clearness, greySpells);
	const cells = createCells([{ parameters: cell, soc: 0.9 }], cell.temperatureC, nature);
	const decay = stepDecay(STEP_S);
	const panelW = new Float64Array(prepared.demandW.length);
	// The plan's battery as one cell: what flows in one of them.
	const perCell = (RECKONED * ratedAh * NOMINAL_V) / input.battery.usableWh;
	let empty = 0;
	for (const counted of [false, true]) {
		panelYear(prepared, weather(), panelW);
		let isCut = false;
		for (let h = 0; h < panelW.length; h++) {
			for (let s = 0; s < 3600 / STEP_S; s++) {
				const cloud = 1 + 0.5 * (2 * random() - 1);
				const net = (panelW[h]! * cloud - prepared.demandW[h]!) * perCell;
				const volts = terminalVoltageV(cells, 0, 0);
				let amps = net / volts;
				const reached = terminalVoltageV(cells, 0, amps);
				// Once cut off the loads come back with the sun.
				isCut = net < 0 && (isCut || reached <= CUTOFF_V);
				if (isCut) amps = 0;
				// At the set voltage the charger falls back to what holds it there.
				else if (amps > 0 && reached > ABSORB_V)
					amps = Math.max(0, (amps * (ABSORB_V - volts)) / Math.max(1e-6, reached - volts));
				cells.currentA[0] = amps;
				stepCell(cells, 0, decay);
			}
			if (counted && h % 24 === 23 && isCut) empty++;
		}
	}
	return empty / DAYS;
}

/** How often a bank is empty in a real year: foretold hour by hour from means, lived through in a cell. */
export const year: Question = {
	name: 'a year of use',
	costly: true,
	ask(world) {
		const { random } = world;
		if (random() > 1 / ONE_IN) return [];
		const cell = drawCell(world);
		const usableWh = oneOf(random, [1500, 4000, 9000]);
		const loadW = (usableWh / 24) * between(random, 0.25, 0.6);
		const input: YearInput = {
			latitudeDeg: between(random, 30, 56),
			fields: [{ w: loadW * between(random, 8, 22), tiltDeg: between(random, 10, 65), azimuthDeg: 180 }],
			airC: Array<number>(12).fill(between(random, 8, 25)),
			loads: [
				{ w: loadW * 0.7, hours: ALWAYS },
				{ w: loadW * 1.8, hours: [18, 19, 20, 21] }
			],
			battery: { chemistry: 'LFP', usableWh, maxChargeW: usableWh * 0.4 },
			years: 60,
			seed: Math.floor(random() * 1e9)
		};
		// The person's own sun hours, which are those of the place.
		const { daysEmptyShare } = yearOfUse({ ...input, sunHours: prepareYear(input).sunHours });
		const greySpells = random() < 0.5;
		const truth = livedThrough(input, cell, greySpells, world);
		return [
			{
				kind: 'interval',
				of: 'share of days that end empty',
				stratum: greySpells ? 'long grey spells' : undefined,
				low: daysEmptyShare.low95,
				high: daysEmptyShare.high95,
				truth,
				scale: 1
			}
		];
	}
};
