import type { LeadWiring } from './lead-wirings';

/** What is known of the cells before a lead is read: each one's voltage, or the range they all lie in. V. */
export type CellsKnown = { cellsV: readonly number[] } | { low: number; high: number };

/** One cell's step of the staircase: `fixedV + sharedV·θ`, with a doubt of its own; θ is common to all cells. */
interface Step {
	fixedV: number;
	perShared: number;
	sdV: number;
}
export interface Staircase {
	steps: readonly Step[];
	/** θ before any reading. */
	shared: { mean: number; sd: number };
	meterSdV: number;
}

/** Two meters, or one on two days, agree to so much of a reading, one sd. */
const GAIN_SD = 0.002;
/** A rest voltage is the same an hour later to so many volts. */
const STEADY_SD_V = 0.003;
/** A range of voltages says where all cells lie, and by how much they may differ among themselves: shares of its half-width, one sd. */
const RANGE = { common: 0.58, own: 0.35 };
/** A meter on a longer range shows its reading this coarsely. */
const COARSE_SHARE = 0.0005;
/** One reading in fifty is off by more than its meter: a probe that slid, a digit read wrong; one in five thousand is anything at all. */
const SLIPS = { share: 0.018, sdV: 0.15, anything: 0.0002 };
/** Where a lead on no node reads, by how often: about nothing, between its neighbours (plugged in), or anywhere. */
const FLOATS = { nothing: 0.4, drifting: 0.2, between: 0.25, nothingSdV: 0.003, driftingSdV: 0.05 };

/** The staircase before it is read. */
export function staircaseOf(series: number, cells: CellsKnown, meterSdV: number): Staircase {
	if ('cellsV' in cells)
		return {
			steps: cells.cellsV.map((v) => ({ fixedV: v, perShared: v, sdV: Math.hypot(meterSdV, STEADY_SD_V) })),
			shared: { mean: 0, sd: GAIN_SD },
			meterSdV
		};
	const half = (cells.high - cells.low) / 2;
	return {
		steps: Array.from({ length: series }, () => ({
			fixedV: 0,
			perShared: 1,
			sdV: Math.max(STEADY_SD_V, RANGE.own * half)
		})),
		shared: { mean: (cells.low + cells.high) / 2, sd: Math.max(STEADY_SD_V, RANGE.common * half) },
		meterSdV
	};
}

const density = (x: number, sd: number) => Math.exp(-0.5 * (x / sd) ** 2) / (sd * Math.sqrt(2 * Math.PI));
/** Its logarithm: some volts beyond a few millivolts of doubt no number is small enough for the density itself. */
const logDensity = (x: number, sd: number) => -0.5 * (x / sd) ** 2 - Math.log(sd * Math.sqrt(2 * Math.PI));
const logSum = (logs: readonly number[]): number => {
	const most = Math.max(...logs);
	return most + Math.log(logs.reduce((sum, l) => sum + Math.exp(l - most), 0));
};

/** A reading beside what it should be: as its meter has it, a slip, or anything within `reachV` of zero. */
function read(off: number, sdV: number, reachV: number) {
	const close = Math.log(1 - SLIPS.share - SLIPS.anything) + logDensity(off, sdV);
	const far = Math.log(SLIPS.share) + logDensity(off, Math.hypot(sdV, SLIPS.sdV));
	const anything = Math.log(SLIPS.anything / (2 * reachV));
	const log = logSum([close, far, anything]);
	return { log, slipped: Math.max(far, anything) > close, tellsNothing: anything > Math.max(close, far) };
}

export interface WiringFit {
	logLikelihood: number;
	/** Voltage of each node over battery negative, V. */
	nodeV: number[];
	/** Readings that are further from it than the meter allows. */
	slips: number;
}

/**
 * How well readings go with a wiring: a Kalman filter that climbs the staircase node by node, the common part of all steps a
 * second state; a reading off by more than the meter is let pass at the price of being rare.
 * @param readingsV lead 0 … S against battery negative, null where not read; @param positiveV the same against battery positive
 */
export function fitWiring(
	wiring: LeadWiring,
	staircase: Staircase,
	readingsV: readonly (number | null)[],
	positiveV: readonly (number | null)[] = []
): WiringFit {
	const series = staircase.steps.length;
	const at: number[][] = Array.from({ length: series + 1 }, () => []);
	wiring.nodeOf.forEach((node, lead) => {
		if (node >= 0 && readingsV[lead] !== null) at[node]!.push(wiring.sign * readingsV[lead]!);
	});
	// State: height of the node h and the shared part θ, with their covariance.
	let h = 0;
	let theta = staircase.shared.mean;
	let hh = 0;
	let ht = 0;
	let tt = staircase.shared.sd ** 2;
	let logLikelihood = 0;
	let slips = 0;
	const reachV = reachOf(staircase);
	const nodeV = [0];
	const climbed: number[] = [];
	const stepOf = (node: number) => {
		const cell = wiring.fromTop ? series - node : node - 1;
		const step = staircase.steps[cell]!;
		const turned = wiring.turnedCell === cell + 1 ? -1 : 1;
		return { fixedV: turned * step.fixedV, perShared: turned * step.perShared, sdV: step.sdV };
	};
	for (let node = 0; node <= series; node++) {
		if (node > 0) {
			const { fixedV, perShared, sdV } = stepOf(node);
			h += fixedV + perShared * theta;
			hh += 2 * perShared * ht + perShared ** 2 * tt + sdV ** 2;
			ht += perShared * tt;
		}
		for (const reading of at[node]!) {
			const noise = staircase.meterSdV ** 2 + (COARSE_SHARE * reading) ** 2;
			const off = reading - h;
			const { log, slipped, tellsNothing } = read(off, Math.sqrt(hh + noise), reachV);
			logLikelihood += log;
			if (slipped) slips++;
			if (tellsNothing) continue;
			const gain = 1 / (hh + noise + (slipped ? SLIPS.sdV ** 2 : 0));
			h += hh * gain * off;
			theta += ht * gain * off;
			tt -= ht * ht * gain;
			ht -= hh * ht * gain;
			hh -= hh * hh * gain;
		}
		climbed[node] = h;
	}
	for (let node = 1; node <= series; node++) {
		const { fixedV, perShared } = stepOf(node);
		// Where a node was read its height is known; elsewhere it follows from its neighbour.
		nodeV[node] = at[node]!.length ? climbed[node]! : nodeV[node - 1]! + fixedV + perShared * theta;
	}
	wiring.nodeOf.forEach((node, lead) => {
		const reading = readingsV[lead];
		if (node < 0 && reading !== null && reading !== undefined)
			logLikelihood += Math.log(floatingDensity(reading, lead, nodeV) + SLIPS.anything / (2 * reachV));
	});
	positiveV.forEach((reading, lead) => {
		if (reading === null) return;
		const { log, slipped } = fitFromPositive(reading, wiring, nodeV, lead, reachV);
		logLikelihood += log;
		if (slipped) slips++;
	});
	return { logLikelihood, nodeV, slips };
}

/** No reading of this battery lies further from nothing, V. */
const reachOf = ({ steps, shared }: Staircase): number =>
	1 + 1.2 * steps.reduce((sum, s) => sum + Math.abs(s.fixedV + s.perShared * shared.mean), 0);

/** A node's height over another, both as they were fitted, one sd, V. */
const FITTED_SD_V = 0.02;

function fitFromPositive(
	reading: number,
	wiring: LeadWiring,
	nodeV: readonly number[],
	lead: number,
	reachV: number
): { log: number; slipped: boolean } {
	if (wiring.nodeOf[lead]! < 0) {
		const range = Math.abs(nodeV[nodeV.length - 1]!) + 1;
		const nothing =
			FLOATS.nothing * density(reading, FLOATS.nothingSdV) + FLOATS.drifting * density(reading, FLOATS.driftingSdV);
		return { log: Math.log(nothing + (1 - FLOATS.nothing - FLOATS.drifting) / (2 * range)), slipped: false };
	}
	const off = reading - expectedV(wiring, nodeV, lead, 'positive');
	return read(off, Math.hypot(FITTED_SD_V, COARSE_SHARE * reading), reachV);
}

function floatingDensity(reading: number, lead: number, nodeV: readonly number[]): number {
	const top = nodeV.length - 1;
	const low = nodeV[Math.max(0, lead - 1)]!;
	const high = nodeV[Math.min(top, lead + 1)]!;
	const inside = reading >= low && reading <= high && high > low ? 1 / (high - low) : 0;
	const range = Math.abs(nodeV[top]!) + 1;
	const anywhere = reading > -0.5 && reading < range ? 1 / (range + 0.5) : 0;
	return (
		FLOATS.nothing * density(reading, FLOATS.nothingSdV) +
		FLOATS.drifting * density(reading, FLOATS.driftingSdV) +
		FLOATS.between * inside +
		(1 - FLOATS.nothing - FLOATS.drifting - FLOATS.between) * anywhere
	);
}

/**
 * What a lead would read under a wiring, V. @param against battery negative or positive
 */
export function expectedV(
	wiring: LeadWiring,
	nodeV: readonly number[],
	lead: number,
	against: 'negative' | 'positive'
): number {
	const node = wiring.nodeOf[lead]!;
	// A lead on no node carries nothing through a meter.
	if (node < 0) return 0;
	const zeroV = against === 'negative' ? 0 : nodeV[nodeV.length - 1]!;
	return wiring.sign * (nodeV[node]! - zeroV);
}

/** What each lead should read against battery negative, with one standard deviation: lead 0 first. */
export function expectedStaircase(
	series: number,
	cells: CellsKnown,
	meterSdV: number
): { voltageV: number; sdV: number }[] {
	const { steps, shared } = staircaseOf(series, cells, meterSdV);
	let voltageV = 0;
	let perShared = 0;
	let variance = 0;
	return [
		{ voltageV: 0, sdV: meterSdV },
		...steps.map((step) => {
			voltageV += step.fixedV + step.perShared * shared.mean;
			perShared += step.perShared;
			variance += step.sdV ** 2;
			return { voltageV, sdV: Math.sqrt(variance + (perShared * shared.sd) ** 2 + meterSdV ** 2) };
		})
	];
}
