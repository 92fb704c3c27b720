import { median } from 'd3-array';
import { CHEMISTRY_FIGURES, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requireFinite, requireNotNegative, requirePositive } from '../../foundation/errors';
import { normalDraw, seededRandom, type Interval } from '../../foundation/statistics';
import { drawCell } from './drawn-discharge';
import { MIN_FOR_ODD, logsOf, oddOf, widened, type Note, type World } from './weigh-notes';
import { quantiles } from './weighted-quantiles';

/** A line copied from a display while a cell is discharged; any of it may be missing. */
export interface SpotNote {
	/** Since the discharge began. */
	timeS?: number | null;
	/** Taken out until then, Ah. */
	ah?: number | null;
	voltageV?: number | null;
}

export interface NotedRun {
	chemistry: Chemistry;
	ratedAh: number;
	/** Exactly one of the two; a magnitude. */
	load: { currentA?: number | null; powerW?: number | null };
	/** Where the discharge ends, V. */
	cutoffV: number;
	notes: readonly SpotNote[];
}

export interface NotesFit {
	/** Out of the cell from the start to the cut-off under this load. */
	capacityAh: Interval;
	/** Time from the start to the cut-off, s. */
	finishS: Interval;
	/** When to look again so that the knee is not missed: as early as 5 % may be left, s from the start. */
	lookAgainS: number;
	/** Index of the note that fits no such run; null: all do. */
	oddNote: number | null;
	/** Whether some run of such a cell fits all other notes; if none does, they count for less until one does. */
	fits: boolean;
}

/**
 * A cell nobody has tested holds so much of rated, with its sd; a used one, as which one in five counts, anything from half to all of it
 * (default). Looked at from and to.
 */
const PRIOR = { mean: 1, sd: 0.06, usedShare: 0.2, usedFrom: 0.5, usedTo: 1, from: 0.5, to: 1.3 };
function logPriorOf(share: number): number {
	const { mean, sd, usedShare, usedFrom, usedTo } = PRIOR;
	const fresh = Math.exp(-0.5 * ((share - mean) / sd) ** 2) / (sd * Math.sqrt(2 * Math.PI));
	const used = share >= usedFrom && share <= usedTo ? 1 / (usedTo - usedFrom) : 0;
	return Math.log((1 - usedShare) * fresh + usedShare * used + Number.MIN_VALUE);
}
/** Looked through coarsely first, then finely where anything fits. */
const COARSE = { draws: 120, steps: 120 };
const FINE = { draws: 240, steps: 150 };
/** Less likely than the best by this is nothing. */
const NOTHING = 12;
const SEED = 20_261_128;
/** An Ah display, one sd as a share. */
const AH_SD = 0.002;
/** Half of what an Ah display and a clock are read to. */
const READ_TO = { ah: 0.05, s: 30 };
/** A load is not quite what it is called, one sd as a share (default). */
const LOAD_SD = 0.01;
/** Ah over hours contradict the other notes’ when they are further off than so many sd. */
const ODD_SDS = 3.5;
/** Mean volts of a discharge lie so far under the nominal, for watts. */
const UNDER_NOMINAL_V = 0.02;
const LEFT_AT_LOOK = 0.05;
/** While less than this share of rated is out, a cell may still hold the surface charge of the charge before it, or the load be just on. */
const FRESH_SHARE = 0.03;

/** A cell is discharged with so many C at most, and gives no more than so many times what it is rated. */
const MAX = { cRate: 20, ahShare: 3 };

function checkScale({ ratedAh, notes, load }: NotedRun, currentA: number): void {
	const path = load.currentA == null ? 'load.powerW' : 'load.currentA';
	if (currentA > MAX.cRate * ratedAh)
		throw new CoreError(
			'out-of-range',
			path,
			`${path} requires at most ${MAX.cRate} times the rated capacity an hour, ${MAX.cRate * ratedAh} A; got about ${Math.round(currentA)} A`
		);
	const at = notes.findIndex((n) => n.ah != null && n.ah > MAX.ahShare * ratedAh);
	if (at >= 0)
		throw new CoreError(
			'out-of-range',
			`notes.${at}.ah`,
			`notes.${at}.ah requires at most ${MAX.ahShare} times the rated ${ratedAh} Ah, got ${notes[at]!.ah}. Is the decimal point right?`
		);
}

function checkedNotes({ notes, ratedAh }: NotedRun, currentA: number): Note[] {
	const read = notes.map((n, index) => {
		for (const key of ['timeS', 'ah'] as const) if (n[key] != null) requireNotNegative(n[key], `notes.${index}.${key}`);
		if (n.voltageV != null) requirePositive(n.voltageV, `notes.${index}.voltageV`);
		const outAh = n.ah ?? (currentA * (n.timeS ?? 0)) / 3600;
		return {
			index,
			timeS: n.timeS ?? null,
			ah: n.ah ?? null,
			voltageV: n.voltageV ?? null,
			fresh: outAh < FRESH_SHARE * ratedAh
		};
	});
	const useful = read.filter((n) => n.voltageV !== null && (n.timeS !== null || n.ah !== null));
	if (useful.length === 0)
		throw new CoreError('too-few-notes', 'notes', 'notes requires one line or more with volts and either a time or Ah');
	return read;
}

/** Mean current out, A: as called, or watts by the usual mean volts. */
function currentOf({ chemistry, load }: NotedRun): number {
	const given = [load.currentA, load.powerW].filter((v) => v != null);
	if (given.length !== 1)
		throw new CoreError('load', 'load', `load requires exactly one of currentA and powerW, got ${given.length}`);
	if (load.currentA != null)
		return requirePositive(Math.abs(requireFinite(load.currentA, 'load.currentA')), 'load.currentA');
	const watts = requirePositive(Math.abs(requireFinite(load.powerW!, 'load.powerW')), 'load.powerW');
	return watts / (CHEMISTRY_FIGURES[chemistry].nominalV - UNDER_NOMINAL_V);
}

/** How much of what the load is called really flows, from notes with both a time and Ah; and the one whose two contradict the others. */
function loadGain(notes: readonly Note[], currentA: number): { gain: number; sd: number; odd: number | null } {
	const both = notes.filter((n) => n.timeS !== null && n.timeS > 0 && n.ah !== null && n.ah > 0);
	const ratios = both.map((n) => (n.ah! * 3600) / (n.timeS! * currentA));
	const usual = median(ratios);
	if (usual === undefined) return { gain: 1, sd: LOAD_SD, odd: null };
	const away = ratios.map((r, i) => Math.abs(r / usual - 1) - READ_TO.ah / both[i]!.ah! - READ_TO.s / both[i]!.timeS!);
	const worst = away.indexOf(Math.max(...away));
	const isOdd = both.length >= MIN_FOR_ODD && away[worst]! > Math.max(3 * LOAD_SD, ODD_SDS * AH_SD);
	return { gain: usual, sd: AH_SD, odd: isOdd ? both[worst]!.index : null };
}

/**
 * Fits the discharge curve of a cell type to notes copied at odd hours: every drawn world (curve, hysteresis, resistance, surface charge, how
 * full it began, how true the load is) with every capacity, weighed by the notes. The doubt is what is left of them. Ah of a display are
 * taken over hours × amps where both are there. A note that is likelier a slip of the
 * pen than a run of such a cell is named and left out; one that fits badly never narrows what the others leave open.
 * @throws CoreError `load`, `out-of-range`, `too-few-notes`, `not-positive`, `negative`, `not-a-number`, `cutoff`
 */
export function fitNotes(run: NotedRun): NotesFit {
	requirePositive(run.ratedAh, 'ratedAh');
	const { nominalV, chargeLimitV } = CHEMISTRY_FIGURES[run.chemistry];
	if (!(requirePositive(run.cutoffV, 'cutoffV') < nominalV))
		throw new CoreError(
			'cutoff',
			'cutoffV',
			`cutoffV requires less than ${nominalV} V, got ${run.cutoffV}: is it one cell’s?`
		);
	const currentA = currentOf(run);
	checkScale(run, currentA);
	const notes = checkedNotes(run, currentA);
	const { gain, sd, odd } = loadGain(notes, currentA);
	const used = notes.filter((n) => n.index !== odd);
	const looked = drawWorlds(run, used, { a: currentA * gain, sd }, { ...PRIOR, ...COARSE });
	const worlds = drawWorlds(run, used, { a: currentA * gain, sd }, { ...fittingRange(looked, used, run), ...FINE });
	const logs = logsOf(worlds, used, chargeLimitV, 1);
	const oddNote = odd ?? oddOf(used, worlds, logs, chargeLimitV);
	const kept = used.flatMap((n, i) => (n.index === oddNote ? [] : [i]));
	const { weights, noiseFactor } = widened(worlds, used, kept, chargeLimitV);
	const lastS = Math.max(0, ...used.map((n) => n.timeS ?? 0));
	const finish = worlds.map((w) => (w.endAh * 3600) / w.currentA);
	const look = quantiles(
		worlds.map((w, i) => finish[i]! * (1 - LEFT_AT_LOOK)),
		weights
	).low95;
	return {
		capacityAh: quantiles(
			worlds.map((w) => w.endAh),
			weights
		),
		finishS: quantiles(finish, weights),
		lookAgainS: Math.max(lastS, look),
		oddNote,
		fits: noiseFactor === 1
	};
}

/** Shares of rated at which any drawn world fits all notes but, at most, one. */
function fittingRange(
	worlds: readonly World[],
	notes: readonly Note[],
	{ chemistry, ratedAh }: NotedRun
): { from: number; to: number } {
	const logs = logsOf(worlds, notes, CHEMISTRY_FIGURES[chemistry].chargeLimitV, 1).map((own, i) => {
		const worst = Math.min(0, ...own);
		return worlds[i]!.logPrior + own.reduce((a, b) => a + b, 0) - worst;
	});
	const best = logs.reduce((a, b) => Math.max(a, b), -Infinity);
	const shares = worlds.flatMap((w, i) => (logs[i]! > best - NOTHING ? [w.capacityAh / ratedAh] : []));
	const step = (PRIOR.to - PRIOR.from) / COARSE.steps;
	return { from: shares.reduce((a, b) => Math.min(a, b)) - step, to: shares.reduce((a, b) => Math.max(a, b)) + step };
}

interface Looked {
	/** Shares of rated, and how many between; how many drawn cells. */
	from: number;
	to: number;
	steps: number;
	draws: number;
}

function drawWorlds(
	run: NotedRun,
	notes: readonly Note[],
	current: { a: number; sd: number },
	{ from, to, steps, draws }: Looked
): World[] {
	const random = seededRandom(SEED);
	const worlds: World[] = [];
	for (let d = 0; d < draws; d++) {
		const cell = drawCell(run.chemistry, random);
		const own = current.a * Math.exp(normalDraw(random, 0, current.sd));
		for (let s = 0; s < steps; s++) {
			const share = from + ((to - from) * (s + random())) / steps;
			const capacityAh = share * run.ratedAh;
			const cRate = own / capacityAh;
			const at = (timeS: number, taken: number) => cell.volts(taken, rateAt(run, cRate, taken), timeS);
			worlds.push({
				capacityAh,
				currentA: own,
				expectedV: notes.map((n) => {
					if (n.voltageV === null || (n.timeS === null && n.ah === null)) return null;
					const ah = n.ah ?? (own * n.timeS!) / 3600;
					return at(n.timeS ?? (ah * 3600) / own, ah / capacityAh);
				}),
				endAh: endShare(at, run.cutoffV) * capacityAh,
				logPrior: logPriorOf(share)
			});
		}
	}
	return worlds;
}

/** Constant watts ask for more amperes as the volts fall: by the slope of the plateau, a few per cent from end to end. */
const WATTS_RISE = 0.03;
const rateAt = ({ load }: NotedRun, cRate: number, taken: number) =>
	load.powerW == null ? cRate : cRate * (1 + WATTS_RISE * (taken - 0.5));

/** The share of the capacity that is out when the volts reach the cut-off: halved until it is found. */
function endShare(at: (timeS: number, taken: number) => number, cutoffV: number): number {
	let [low, high] = [0, 1.06];
	for (let i = 0; i < 23; i++) {
		const middle = (low + high) / 2;
		if (at(1e6, middle) > cutoffV) low = middle;
		else high = middle;
	}
	return (low + high) / 2;
}
