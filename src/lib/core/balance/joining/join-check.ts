import { median } from 'd3-array';
import { mostOfOneCellV, restVoltageCurve, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requireFinite, requireNotNegative, requirePositive } from '../../foundation/errors';
import { intervalOf, normalDraw, seededRandom, type Interval } from '../../foundation/statistics';
import { simulate } from '../../world/simulation';
import { outsideLimits } from '../../receive/arrival';
import { measured, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { JOIN_C_RATE, JOIN_METER_SD_V, instantOhm } from './join-limits';

export type JoinId = string | number;

/** A cell, or a whole battery, that is to be joined in parallel with others. */
export interface JoinItem {
	id: JoinId;
	/** Signed, with the red probe on the printed plus. */
	restVoltageV: number;
	sdV?: number | null;
	capacityAh: number;
	/** What limits the current of the first instant, of the whole item; as such cells usually have when both are missing. */
	resistanceOhm?: number | null;
	/** The same as a 1 kHz meter reads it, which is less: about 0.7 of it. Not used beside `resistanceOhm`. */
	acResistanceMohm?: number | null;
	cellsInSeries?: number | null;
}

export interface JoinInput {
	chemistry: Chemistry;
	items: readonly JoinItem[];
	/** Of the link of each item, with its joints. */
	linkOhm: number;
	/** What a link carries; null or missing: not asked. */
	linkRatingA?: number | null;
}

export interface JoinAnswer {
	verdicts: Verdict[];
	/** Largest through one item in the first instant of all joined; null where a voltage is none such an item can have. */
	peakA: Interval | null;
	/** In which they are joined: those that are most alike first. */
	order: JoinId[];
	/** Most that goes into or out of one of them in a day, Ah. */
	movedAhInDay: number;
}

/** Instant resistance of a cell, Ω·Ah (default), with its doubt as the logarithm: nobody read it, or somebody read it with 1 kHz. */
export const USUAL_OHM_AH = 0.05;
const UNREAD_SD = 0.24;
const READ_SD = 0.11;
const DRAWS = 800;
/** Of a long row fewer tell as much: the largest of many currents varies less. */
const MIN_DRAWS = 300;
const ITEMS_DRAWN = 24_000;
const SEED = 20_261_130;
const DAY_S = 86_400;
const DAY_STEP_S = 30;
const MIN_OHM = 1e-6;

export interface Ready {
	item: JoinItem;
	cells: number;
	ohm: number;
	ohmSd: number;
	sdV: number;
}

/** The items with what is missing filled in. @throws CoreError */
export function readyToJoin({ items, linkOhm, linkRatingA }: Omit<JoinInput, 'chemistry'>): Ready[] {
	requireNotNegative(linkOhm, 'linkOhm');
	if (linkRatingA != null) requirePositive(linkRatingA, 'linkRatingA');
	if (items.length < 2) throw new CoreError('too-few', 'items', `items requires two or more, got ${items.length}`);
	const seen = new Set<JoinId>();
	return items.map((item, i) => {
		const path = `items.${i}`;
		requireFinite(item.restVoltageV, `${path}.restVoltageV`);
		requirePositive(item.capacityAh, `${path}.capacityAh`);
		if (seen.has(item.id)) throw new CoreError('twice', `${path}.id`, `${path}.id ${item.id} is there twice`);
		seen.add(item.id);
		const cells = item.cellsInSeries ?? 1;
		if (!Number.isInteger(cells) || cells < 1)
			throw new CoreError(
				'layout',
				`${path}.cellsInSeries`,
				`${path}.cellsInSeries requires a whole number from 1, got ${cells}`
			);
		if (item.resistanceOhm != null) requirePositive(item.resistanceOhm, `${path}.resistanceOhm`);
		if (item.acResistanceMohm != null) requirePositive(item.acResistanceMohm, `${path}.acResistanceMohm`);
		const read = item.acResistanceMohm == null ? null : instantOhm(item.acResistanceMohm);
		const given = item.resistanceOhm ?? read;
		return {
			item,
			cells,
			ohm: given ?? (USUAL_OHM_AH * cells) / item.capacityAh,
			ohmSd: given === null ? UNREAD_SD : READ_SD,
			sdV: requireNotNegative(item.sdV ?? JOIN_METER_SD_V * cells, `${path}.sdV`)
		};
	});
}

/** Current out of each item in the first instant, A: each drives through its own resistance and link to the common voltage. */
export function firstCurrents(volts: readonly number[], ohms: readonly number[]): number[] {
	const conductance = ohms.reduce((sum, r) => sum + 1 / r, 0);
	const common = volts.reduce((sum, v, i) => sum + v / ohms[i]!, 0) / conductance;
	return volts.map((v, i) => (v - common) / ohms[i]!);
}

/**
 * Whether cells or whole batteries may be joined in parallel: the largest current in the first instant through one of them, by what is not
 * known of voltages and resistances; the order that keeps it small; and what moves in a day (simulated from the charge the voltages are
 * likeliest of: on the plateau little of a difference moves).
 * @throws CoreError `too-few`, `not-a-number`, `not-positive`, `negative`, `twice`, `layout`
 */
export function checkJoining(input: JoinInput, subject: Subject): JoinAnswer {
	const own = readyToJoin(input);
	const { chemistry, linkOhm } = input;
	const { peakA, worst, othersV } = peakOfJoining(own, linkOhm);
	const middle = median(own, (r) => r.item.restVoltageV)!;
	const order = [...own]
		.sort((a, b) => Math.abs(a.item.restVoltageV - middle) - Math.abs(b.item.restVoltageV - middle))
		.map((r) => r.item.id);
	// Read the wrong way round, or as more than a cell can have: nothing is simulated, all of one may move.
	const perCell = own.map((r) => r.item.restVoltageV / r.cells);
	const canBe = perCell.every((v) => v > 0 && v <= mostOfOneCellV(chemistry));
	const moved = canBe ? movedAh(chemistry, own, linkOhm) : null;
	return {
		verdicts: verdictsOf(input, own, { peakA, worst, middle: othersV, firstHourA: moved?.inHour ?? null }, subject),
		peakA: perCell.every((v) => Math.abs(v) <= mostOfOneCellV(chemistry)) ? peakA : null,
		order,
		movedAhInDay: moved?.inDay ?? Math.min(...own.map((r) => r.item.capacityAh))
	};
}

/**
 * The largest current through one item in the first instant of all joined, by what is not known of voltages and resistances; which one it
 * is, and what the others rest at (median, V). @param linkSd what is not known of the links, alike in all of them, sd of the logarithm
 */
export function peakOfJoining(
	own: readonly Ready[],
	linkOhm: number,
	linkSd = 0
): { peakA: Interval; worst: Ready; othersV: number } {
	const random = seededRandom(SEED);
	const draws = Math.max(MIN_DRAWS, Math.min(DRAWS, Math.floor(ITEMS_DRAWN / own.length)));
	const peaks = Array.from({ length: draws }, () => {
		const volts = own.map((r) => normalDraw(random, r.item.restVoltageV, r.sdV));
		const drawn = linkSd === 0 ? linkOhm : linkOhm * Math.exp(normalDraw(random, 0, linkSd));
		const ohms = own.map((r) => Math.max(MIN_OHM, r.ohm * Math.exp(normalDraw(random, 0, r.ohmSd)) + drawn));
		return Math.max(...firstCurrents(volts, ohms).map(Math.abs));
	});
	const bounds = intervalOf(peaks);
	// The meter's own doubt alone lets a current flow between equals: what is likeliest is reckoned from what was read.
	const asRead = firstCurrents(
		own.map((r) => r.item.restVoltageV),
		own.map((r) => Math.max(MIN_OHM, r.ohm + linkOhm))
	).map(Math.abs);
	const peakA = {
		low95: Math.min(bounds.low95, Math.max(...asRead)),
		likely: Math.max(...asRead),
		high95: Math.max(bounds.high95, Math.max(...asRead))
	};
	const worst = own[asRead.indexOf(peakA.likely)]!;
	// Of two, each is apart from the other, not from what lies between them.
	const othersV = median(
		own.filter((r) => r !== worst),
		(r) => r.item.restVoltageV
	)!;
	return { peakA, worst, othersV };
}

const subjectOf = ({ item, cells }: Ready): Subject => ({
	kind: cells > 1 ? 'battery' : 'cell',
	id: item.id,
	label: String(item.id)
});

interface Peak {
	peakA: Interval;
	worst: Ready;
	middle: number;
	firstHourA: number | null;
}

function verdictsOf(
	{ chemistry, linkOhm, linkRatingA = null }: JoinInput,
	own: readonly Ready[],
	{ peakA, worst, middle, firstHourA }: Peak,
	subject: Subject
): Verdict[] {
	const reversed = own.filter((r) => r.item.restVoltageV < 0);
	if (reversed.length)
		return [say('join-polarity', 'stop', subject, { cells: reversed.length }, reversed.map(subjectOf))];
	const perCell = own.map((r) => r.item.restVoltageV / r.cells);
	const impossible = own.filter((_, i) => perCell[i]! > mostOfOneCellV(chemistry));
	if (impossible.length) {
		const mostV = mostOfOneCellV(chemistry);
		return impossible.map((r) =>
			say('not-one-cell', 'look', subjectOf(r), {
				restVoltageV: measured(r.item.restVoltageV, r.sdV),
				mostV,
				chemistry
			})
		);
	}
	const outside = own.flatMap((r, i) => outsideLimits(chemistry, perCell[i]!, r.sdV / r.cells, subjectOf(r)) ?? []);
	const cells = new Set(own.map((r) => r.cells));
	const limitA = JOIN_C_RATE * Math.min(...own.map((r) => r.item.capacityAh));
	const allowedA = linkRatingA === null ? limitA : Math.min(limitA, linkRatingA);
	const facts = {
		peakA: measured(peakA.likely, (peakA.high95 - peakA.low95) / 3.92),
		withinA: peakA,
		limitA: allowedA,
		differenceV: Math.abs(worst.item.restVoltageV - middle),
		above: worst.item.restVoltageV > middle,
		worst: String(worst.item.id),
		cRate: JOIN_C_RATE,
		linkOhm,
		firstHourA
	};
	const stops = [
		...(cells.size > 1 ? [say('join-unlike', 'stop', subject, { cellsInSeries: [...cells] })] : []),
		...outside,
		// A cell that must not be charged is not also told how far to charge it.
		...(outside.length === 0 && peakA.high95 > allowedA ? [say('join-refused', 'stop', subjectOf(worst), facts)] : [])
	];
	return stops.length ? stops : [say('join-checked', 'calm', subject, facts)];
}

/** A day of standing joined, by the model of the cell: likeliest figures only. */
function standJoined(chemistry: Chemistry, own: readonly Ready[], linkOhm: number, recordEveryS: number) {
	const curve = restVoltageCurve(chemistry);
	const cells = own.map(({ item, cells: series, ohm }, id) => ({
		id,
		capacityAh: item.capacityAh,
		soc: Math.min(1, Math.max(0, curve.xOf(item.restVoltageV / series))),
		resistanceFactor: ohm / series / (USUAL_OHM_AH / item.capacityAh)
	}));
	const { cells: recorded } = simulate({
		world: {
			chemistry,
			cells,
			wiring: { kind: 'parallel', linkOhm: linkOhm / Math.max(...own.map((r) => r.cells)) },
			seed: SEED
		},
		steps: [{ kind: 'rest', until: { durationS: DAY_S } }],
		stepS: DAY_STEP_S,
		recordEveryS
	});
	return own.map((_, id) => recorded[id]!);
}

/** Largest charge into or out of one item in the first hour and day of standing joined, Ah, by the model of the cell. */
function movedAh(chemistry: Chemistry, own: readonly Ready[], linkOhm: number): { inHour: number; inDay: number } {
	const recorded = standJoined(chemistry, own, linkOhm, DAY_S / 24);
	const until = (record: number) =>
		Math.max(
			...own.map((r, id) => Math.abs(recorded[id]!.soc.at(record)! - recorded[id]!.soc[0]!) * r.item.capacityAh)
		);
	return { inHour: until(1), inDay: until(-1) };
}

/** Moments after the last link went on at which the current is told, s. */
const FALLS_AT_S = [60, 600, 3600, 21_600, 86_400];

/**
 * What flows through each item in the first instant (A, out of it positive), and how the largest of it falls, by likeliest figures only.
 * @returns `falls` empty where a voltage is none such an item can have
 * @throws CoreError as {@link checkJoining}
 */
export function currentsJoined(input: JoinInput): { firstA: number[]; falls: { atS: number; largestA: number }[] } {
	const own = readyToJoin(input);
	const firstA = firstCurrents(
		own.map((r) => r.item.restVoltageV),
		own.map((r) => Math.max(MIN_OHM, r.ohm + input.linkOhm))
	);
	const perCell = own.map((r) => r.item.restVoltageV / r.cells);
	if (perCell.some((v) => !(v > 0 && v <= mostOfOneCellV(input.chemistry)))) return { firstA, falls: [] };
	const recorded = standJoined(input.chemistry, own, input.linkOhm, FALLS_AT_S[0]!);
	const at = (amperes: readonly number[], atS: number) =>
		Math.abs(amperes[Math.min(amperes.length - 1, Math.round(atS / FALLS_AT_S[0]!))]!);
	return {
		firstA,
		falls: FALLS_AT_S.map((atS) => ({ atS, largestA: Math.max(...recorded.map((r) => at(r.currentA, atS))) }))
	};
}
