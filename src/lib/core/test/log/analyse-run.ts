import { fullnessRuledOut, type Chemistry } from '../../foundation/chemistry';
import type { LogColumns } from './log-columns';
import { REST_SHARE, directions, largestOf } from './log-directions';
import { dischargesOf, tested } from './log-discharges';
import type { LogFault } from '../../picture';
import { parseLog, type ParsedLog } from './parse-log';

export interface RunAnalysis {
	/** Charge and energy taken out, Ah and Wh, positive. */
	capacityAh: number;
	energyWh: number;
	/** Energy over charge, V. */
	meanVoltageV: number | null;
	/** Mean current while discharging, positive into the battery, so negative here. */
	currentA: number | null;
	/** |mean current| / rated Ah; null when the rated capacity is not given. */
	cRate: number | null;
	/** Time spent discharging, s (rests and gaps left out). */
	durationS: number;
	/** What gaps and a clock that was set back leave open of the charge, Ah, one sd; 0: nothing. */
	doubtAh: number;
	endVoltageV: number;
	faults: LogFault[];
	columns: LogColumns;
	/** End of the log by its own date, ISO 8601; null where it tells none. */
	endedAt: string | null;
}

export interface RunOptions {
	ratedAh: number | null;
	/** Integrate straight across gaps in the log; only when the user says so. */
	bridgeGaps: boolean;
	/** Cell voltage the run should have reached, V; null when not known. */
	cutoffV: number | null;
	/** Of the cell, to tell whether the log can begin with a full one; null: not asked. */
	chemistry?: Chemistry | null;
}

/** A step longer than this many usual steps is a gap. */
const GAP_STEPS = 10;
/** Across a gap the current went on when it is the same on both sides, to this share. */
const SAME_CURRENT = 0.05;
/** Or it had paused meanwhile: of what would have flowed so much is doubt, one sd, so that 95 % hold both. */
const IN_DOUBT = 0.6;
/** A second direction is worth a word above this share of the charge moved. */
const OTHER_DIRECTION_SHARE = 0.02;
/** A run that ends more than this above the cut-off was stopped early, V. */
const EARLY_V = 0.05;

/**
 * Charge, energy and means of a discharge, from a log's text. Trapezoid on time stamps; sign judged from which way
 * the voltage goes. See {@link parseLog} for what text is read and thrown.
 */
export function analyseRun(text: string, options: RunOptions): RunAnalysis {
	return analyseLog(parseLog(text), options).analysis;
}

/** Samples of a run as they are kept: from its first, s; V; A, negative while it is discharged. */
export interface RunSamples {
	timeS: Float64Array;
	voltageV: Float64Array;
	currentA: Float64Array;
}

/** As {@link analyseRun}, from a log already parsed, with the samples it was reckoned from. The log is not changed. */
export function analyseLog(log: ParsedLog, options: RunOptions): { analysis: RunAnalysis; samples: RunSamples } {
	const faults = [...log.faults];
	const { timeS, voltageV } = log;
	const gapS = GAP_STEPS * usualStep(log);
	const throughputAh = absoluteAh(log, gapS);
	const outA = directions(log, options.ratedAh ?? throughputAh, faults);
	const baseAh = options.ratedAh ?? throughputAh / 2;
	const endsBelowV = options.cutoffV === null ? null : options.cutoffV + EARLY_V;
	const all = dischargesOf(timeS, voltageV, outA, (dt) => dt > gapS, baseAh);
	const own = tested(all, endsBelowV);
	if (all.length > 1 && own)
		faults.push({
			code: 'several-discharges',
			message: `The log holds ${all.length} discharges with a charge between them; number ${all.indexOf(own) + 1} is taken, lines ${log.rows[own.from]} to ${log.rows[own.to]}.`,
			row: log.rows[own.from]!
		});
	const [from, to] = own && all.length > 1 ? [own.from, own.to] : [0, timeS.length - 1];
	const sums = integrate(log, outA, from, to, gapS, options.bridgeGaps, faults);
	const chargedAh = chargeIn(log, outA, gapS);
	const meanA = sums.durationS > 0 ? (sums.capacityAh * 3600) / sums.durationS : null;
	const { endVoltageV } = sums;
	if (chargedAh > OTHER_DIRECTION_SHARE * sums.capacityAh)
		faults.push({
			code: 'charge-in-log',
			message: `The log also holds ${chargedAh.toFixed(1)} Ah of charging; only the discharge is counted.`,
			row: null
		});
	if (endsBelowV !== null && endVoltageV > endsBelowV)
		faults.push({
			code: 'ends-early',
			message: `The discharge ends at ${endVoltageV.toFixed(2)} V, above the cut-off of ${options.cutoffV!.toFixed(2)} V: the capacity is a lower bound.`,
			row: log.rows[to]!
		});
	if (own?.notRefilled)
		faults.push({
			code: 'starts-not-full',
			message:
				'The charge before this discharge gave back less than had been taken: it did not begin full. The capacity is a lower bound.',
			row: log.rows[from]!
		});
	const most = options.chemistry && from === 0 ? mostAtStart(log, outA, options.chemistry, options.ratedAh) : null;
	if (most !== null)
		faults.push({
			code: 'starts-not-full',
			message: `The discharge starts at ${voltageV[0]!.toFixed(2)} V: the cell held ${Math.round(most * 100)} % at most. The capacity is a lower bound.`,
			row: log.rows[0]!
		});
	const analysis: RunAnalysis = {
		capacityAh: sums.capacityAh,
		energyWh: sums.energyWh,
		meanVoltageV: sums.capacityAh > 0 ? sums.energyWh / sums.capacityAh : null,
		currentA: meanA === null ? null : -meanA,
		cRate: meanA === null || options.ratedAh === null ? null : meanA / options.ratedAh,
		durationS: sums.durationS,
		doubtAh: Math.hypot(log.clockDoubtAh, sums.doubtAh),
		endVoltageV,
		faults,
		columns: log.columns,
		endedAt: log.startedMs === null ? null : new Date(log.startedMs + timeS[to]! * 1000).toISOString()
	};
	const samples = {
		timeS: timeS.slice(from, to + 1).map((t) => t - timeS[from]!),
		voltageV: voltageV.slice(from, to + 1),
		currentA: outA.slice(from, to + 1).map((a) => (a === 0 ? 0 : -a))
	};
	return { analysis, samples };
}

/** The longest of so many steps may each be a gap: they do not tell what is usual. */
const LEFT_OUT = 0.02;
const MIN_STEPS = 10;

/** The step in the middle of the time that a log covers, s: of two rates the one it spends its time at; its longest few left out. */
function usualStep({ timeS }: ParsedLog): number {
	const steps = Float64Array.from({ length: timeS.length - 1 }, (_, i) => timeS[i + 1]! - timeS[i]!).sort();
	const left = steps.length < MIN_STEPS ? 0 : Math.max(1, Math.floor(LEFT_OUT * steps.length));
	const known = steps.subarray(0, steps.length - left);
	const half = known.reduce((sum, s) => sum + s, 0) / 2;
	let sum = 0;
	for (const s of known) if ((sum += s) >= half) return s;
	return known.at(-1)!;
}

/** All that went through the cell, either way, Ah. */
function absoluteAh({ timeS, currentA }: ParsedLog, gapS: number): number {
	let coulombs = 0;
	for (let i = 0; i + 1 < timeS.length; i++) {
		const dt = timeS[i + 1]! - timeS[i]!;
		if (dt <= gapS) coulombs += ((Math.abs(currentA[i]!) + Math.abs(currentA[i + 1]!)) / 2) * dt;
	}
	return Math.max(coulombs / 3600, Number.MIN_VALUE);
}

function chargeIn({ timeS }: ParsedLog, outA: Float64Array, gapS: number): number {
	let coulombs = 0;
	for (let i = 0; i + 1 < timeS.length; i++) {
		const dt = timeS[i + 1]! - timeS[i]!;
		const moved = ((outA[i]! + outA[i + 1]!) / 2) * dt;
		if (moved < 0 && dt <= gapS) coulombs -= moved;
	}
	return coulombs / 3600;
}

/** What a cell may drop under load in its first seconds, Ω·Ah: the model's R0 + R1 with half as much again. */
const MAX_OHM_AH = 0.12;
/** Of the volts in a log, one standard deviation. */
const LOG_METER_SD_V = 0.005;
/** Before a discharge the log may hold the charge that filled the cell. */
const CHARGES_FIRST_SHARE = 0.02;

/** The most a cell can hold where a log begins, fraction; null when it may be full, or charges first. */
function mostAtStart(log: ParsedLog, outA: Float64Array, chemistry: Chemistry, ratedAh: number | null): number | null {
	const largest = largestOf(outA);
	const isResting = Math.abs(outA[0]!) <= REST_SHARE * largest;
	if (!isResting && (outA[0]! < 0 || ratedAh === null)) return null;
	if (outA.some((a) => a < -CHARGES_FIRST_SHARE * largest)) return null;
	const restV = log.voltageV[0]! + (isResting ? 0 : (outA[0]! * MAX_OHM_AH) / ratedAh!);
	return fullnessRuledOut(chemistry, restV, LOG_METER_SD_V);
}

/** What a gap leaves: counted, or not, and why. */
function acrossGap(before: number, after: number, restA: number, asked: boolean) {
	if (Math.abs(before) <= restA && Math.abs(after) <= restA)
		return { counts: false, doubts: false, code: 'gap' as const, said: 'no current before and after' };
	const same = before > 0 && Math.abs(after - before) <= SAME_CURRENT * before;
	if (asked) return { counts: true, doubts: false, code: 'gap' as const, said: 'bridged as you asked' };
	return same
		? {
				counts: true,
				doubts: true,
				code: 'gap' as const,
				said: 'the current is the same before and after: bridged, half of it in doubt'
			}
		: {
				counts: false,
				doubts: false,
				code: 'gap-not-counted' as const,
				said: 'not counted: the capacity is a lower bound'
			};
}

function integrate(
	log: ParsedLog,
	outA: Float64Array,
	first: number,
	last: number,
	gapS: number,
	bridgeGaps: boolean,
	faults: LogFault[]
) {
	const { timeS, voltageV, rows } = log;
	const restA = REST_SHARE * largestOf(outA);
	let [coulombs, joules, durationS, doubtC] = [0, 0, 0, 0];
	let endVoltageV = voltageV[last]!;
	for (let i = first; i < last; i++) {
		const dt = timeS[i + 1]! - timeS[i]!;
		const [from, to] = [outA[i]!, outA[i + 1]!];
		const moved = ((from + to) / 2) * dt;
		if (dt > gapS) {
			const { counts, doubts, code, said } = acrossGap(from, to, restA, bridgeGaps);
			faults.push({
				code,
				message: `${Math.round(dt)} s without samples after line ${rows[i]}; ${said}.`,
				row: rows[i]!
			});
			if (!counts) continue;
			if (doubts) doubtC = Math.hypot(doubtC, IN_DOUBT * moved);
		}
		if (moved <= 0) continue;
		coulombs += moved;
		joules += ((from * voltageV[i]! + to * voltageV[i + 1]!) / 2) * dt;
		if ((from + to) / 2 > restA) {
			durationS += dt;
			endVoltageV = voltageV[to > restA ? i + 1 : i]!;
		}
	}
	return { capacityAh: coulombs / 3600, energyWh: joules / 3600, durationS, endVoltageV, doubtAh: doubtC / 3600 };
}
