import { fullnessRuledOut, type Chemistry } from '../chemistry';
import { median } from '../shared';
import { parseLog, type LogFault, type ParsedLog } from './parse-log';
import type { LogColumns } from './log-columns';

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

/** A step longer than this many median steps is a gap. */
const GAP_STEPS = 10;
/** Below this share of the largest current the cell counts as resting. */
const REST_SHARE = 0.01;
/** A second direction is worth a word above this share of the charge moved. */
const OTHER_DIRECTION_SHARE = 0.02;
/** A run that ends more than this above the cut-off was stopped early, V. */
const EARLY_V = 0.05;

/**
 * Charge, energy and means of a discharge, from a log's text. Trapezoid on time stamps; sign judged from which way
 * the voltage goes. See {@link parseLog} for what text is read and thrown.
 */
export function analyseRun(text: string, options: RunOptions): RunAnalysis {
	return analyseLog(parseLog(text), options);
}

/** As {@link analyseRun}, from a log already parsed. The log is not changed. */
export function analyseLog(log: ParsedLog, options: RunOptions): RunAnalysis {
	const faults = [...log.faults];
	const sign = dischargeSign(log, faults);
	const steps = stepLengths(log);
	const typicalS = median(steps.length > 5000 ? steps.filter((_, i) => i % 7 === 0) : steps)!;
	const sums = integrate(log, sign, typicalS * GAP_STEPS, options.bridgeGaps, faults);
	const meanA = sums.durationS > 0 ? (sums.capacityAh * 3600) / sums.durationS : null;
	const endVoltageV = sums.endVoltageV;
	if (sums.chargedAh > OTHER_DIRECTION_SHARE * sums.capacityAh)
		faults.push({
			code: 'charge-in-log',
			message: `The log also holds ${sums.chargedAh.toFixed(1)} Ah of charging; only the discharge is counted.`,
			row: null
		});
	if (options.cutoffV !== null && endVoltageV > options.cutoffV + EARLY_V)
		faults.push({
			code: 'ends-early',
			message: `The discharge ends at ${endVoltageV.toFixed(2)} V, above the cut-off of ${options.cutoffV.toFixed(2)} V: the capacity is a lower bound.`,
			row: log.rows[log.rows.length - 1]!
		});
	const most = options.chemistry ? mostAtStart(log, sign, options.chemistry, options.ratedAh) : null;
	if (most !== null)
		faults.push({
			code: 'starts-not-full',
			message: `The discharge starts at ${log.voltageV[0]!.toFixed(2)} V: the cell held ${Math.round(most * 100)} % at most. The capacity is a lower bound.`,
			row: log.rows[0]!
		});
	return {
		capacityAh: sums.capacityAh,
		energyWh: sums.energyWh,
		meanVoltageV: sums.capacityAh > 0 ? sums.energyWh / sums.capacityAh : null,
		currentA: meanA === null ? null : -meanA,
		cRate: meanA === null || options.ratedAh === null ? null : meanA / options.ratedAh,
		durationS: sums.durationS,
		endVoltageV,
		faults,
		columns: log.columns,
		endedAt:
			log.startedMs === null ? null : new Date(log.startedMs + log.timeS[log.timeS.length - 1]! * 1000).toISOString()
	};
}

/** What a cell may drop under load in its first seconds, Ω·Ah: the model's R0 + R1 with half as much again. */
const MOST_OHM_AH = 0.12;
/** Of the volts in a log, one standard deviation. */
const LOG_METER_SD_V = 0.005;
/** Before a discharge the log may hold the charge that filled the cell. */
const CHARGES_FIRST_SHARE = 0.02;

/** The most a cell can hold where a log begins, fraction; null when it may be full, or charges first. */
function mostAtStart(log: ParsedLog, sign: 1 | -1, chemistry: Chemistry, ratedAh: number | null): number | null {
	const largest = log.currentA.reduce((most, a) => Math.max(most, Math.abs(a)), 0);
	const outA = sign * log.currentA[0]!;
	const isResting = Math.abs(outA) <= REST_SHARE * largest;
	if (!isResting && (outA < 0 || ratedAh === null)) return null;
	const charges = log.currentA.some((a) => sign * a < -CHARGES_FIRST_SHARE * largest);
	if (charges) return null;
	const restV = log.voltageV[0]! + (isResting ? 0 : (outA * MOST_OHM_AH) / ratedAh!);
	return fullnessRuledOut(chemistry, restV, LOG_METER_SD_V);
}

function stepLengths(log: ParsedLog): number[] {
	return Array.from({ length: log.timeS.length - 1 }, (_, i) => log.timeS[i + 1]! - log.timeS[i]!);
}

/** +1 when discharge is written positive in this log, −1 when negative (the product's own convention). */
function dischargeSign(log: ParsedLog, faults: LogFault[]): 1 | -1 {
	const { voltageV, currentA } = log;
	const largest = currentA.reduce((most, a) => Math.max(most, Math.abs(a)), 0);
	const sides = { positive: { sumV: 0, n: 0, change: 0 }, negative: { sumV: 0, n: 0, change: 0 } };
	for (let i = 0; i + 1 < voltageV.length; i++) {
		if (Math.abs(currentA[i]!) < REST_SHARE * largest || currentA[i]! * currentA[i + 1]! <= 0) continue;
		const side = currentA[i]! > 0 ? sides.positive : sides.negative;
		side.sumV += voltageV[i]!;
		side.n++;
		side.change += voltageV[i + 1]! - voltageV[i]!;
	}
	const { positive, negative } = sides;
	const flip = (message: string) => {
		faults.push({ code: 'sign-flipped', message, row: null });
		return 1 as const;
	};
	if (positive.n && negative.n)
		return positive.sumV / positive.n < negative.sumV / negative.n
			? flip('Discharge is written as positive current; turned round (positive is into the battery).')
			: -1;
	const side = positive.n ? positive : negative;
	if (side.change > 0 || side.n === 0)
		faults.push({
			code: 'direction-unclear',
			message: 'The voltage does not fall while current flows: is this a discharge? It was counted as one.',
			row: null
		});
	return positive.n
		? flip('Discharge is written as positive current; turned round (positive is into the battery).')
		: -1;
}

function integrate(log: ParsedLog, sign: 1 | -1, gapS: number, bridgeGaps: boolean, faults: LogFault[]) {
	const { timeS, voltageV, currentA, rows } = log;
	const largest = currentA.reduce((most, a) => Math.max(most, Math.abs(a)), 0);
	let coulombs = 0;
	let joules = 0;
	let charged = 0;
	let durationS = 0;
	let endVoltageV = voltageV[voltageV.length - 1]!;
	for (let i = 0; i + 1 < timeS.length; i++) {
		const dt = timeS[i + 1]! - timeS[i]!;
		if (dt > gapS) {
			faults.push({
				code: 'gap',
				message: `${Math.round(dt)} s without samples after line ${rows[i]}${bridgeGaps ? '; bridged as you asked' : '; not counted'}.`,
				row: rows[i]!
			});
			if (!bridgeGaps) continue;
		}
		const from = sign * currentA[i]!;
		const to = sign * currentA[i + 1]!;
		const moved = ((from + to) / 2) * dt;
		if (moved < 0) charged -= moved;
		if (moved <= 0) continue;
		coulombs += moved;
		joules += ((from * voltageV[i]! + to * voltageV[i + 1]!) / 2) * dt;
		if ((from + to) / 2 > REST_SHARE * largest) {
			durationS += dt;
			endVoltageV = voltageV[to > REST_SHARE * largest ? i + 1 : i]!;
		}
	}
	return { capacityAh: coulombs / 3600, energyWh: joules / 3600, chargedAh: charged / 3600, durationS, endVoltageV };
}
