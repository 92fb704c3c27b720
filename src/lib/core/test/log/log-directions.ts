import type { LogFault } from '../../picture';
import type { ParsedLog } from './parse-log';

/** Below this share of the largest current the cell counts as resting. */
export const REST_SHARE = 0.01;
/** A stretch that rises by so much while so small a share of the capacity flows is a charge. */
const RISE = { volts: 0.05, share: 0.02 };
/** It also ends higher than it began, V: a lighter load lets a discharge rise for a moment. */
const ENDS_HIGHER_V = 0.03;
/** Volts that jump so far from one sample to the next are another stretch: a charge that turned into a discharge at once. */
const JUMP_V = 0.05;

export const largestOf = (currentA: ArrayLike<number>): number => {
	let most = 0;
	for (let i = 0; i < currentA.length; i++) most = Math.max(most, Math.abs(currentA[i]!));
	return most;
};

/** Stretches of one log in which current flows without a pause or a jump of the volts: first and last sample of each. */
function stretches({ voltageV, currentA }: ParsedLog, restA: number): [number, number][] {
	const found: [number, number][] = [];
	let from = -1;
	for (let i = 0; i <= currentA.length; i++) {
		const flows = i < currentA.length && Math.abs(currentA[i]!) > restA;
		const jumps = flows && from >= 0 && Math.abs(voltageV[i]! - voltageV[i - 1]!) > JUMP_V;
		if (from >= 0 && (!flows || jumps)) {
			found.push([from, i - 1]);
			from = -1;
		}
		if (flows && from < 0) from = i;
	}
	return found;
}

/** Whether a stretch is a charge by its volts, whatever its sign. @param baseAh capacity it is held against */
function rises({ timeS, voltageV, currentA }: ParsedLog, [from, to]: [number, number], baseAh: number): boolean {
	// Of one sample a jump apart from both sides nothing can be told.
	if (to <= from || voltageV[to]! - voltageV[from]! < ENDS_HIGHER_V) return false;
	const movedC = new Float64Array(to - from + 1);
	for (let i = from; i < to; i++)
		movedC[i + 1 - from] =
			movedC[i - from]! + ((Math.abs(currentA[i]!) + Math.abs(currentA[i + 1]!)) / 2) * (timeS[i + 1]! - timeS[i]!);
	const windowC = RISE.share * baseAh * 3600;
	let back = from;
	for (let i = from; i <= to; i++) {
		while (movedC[i - from]! - movedC[back - from]! > windowC) back++;
		for (let k = back; k < i; k += Math.max(1, Math.floor((i - back) / 8)))
			if (voltageV[i]! - voltageV[k]! >= RISE.volts) return true;
	}
	return false;
}

const TURNED = 'Discharge is written as positive current; turned round (positive is into the battery).';

/**
 * Which way the current of a log flows: of two signs the one under which the volts are lower is the discharge; of one sign alone,
 * stretches that rise as a charge does are charges.
 * @param baseAh rated capacity, or about what went through it @returns what flows out of the cell at each sample, A, negative into it
 */
export function directions(log: ParsedLog, baseAh: number, faults: LogFault[]): Float64Array {
	const { voltageV, currentA } = log;
	const restA = REST_SHARE * largestOf(currentA);
	const sides = { positive: { sumV: 0, n: 0, change: 0 }, negative: { sumV: 0, n: 0, change: 0 } };
	for (let i = 0; i + 1 < voltageV.length; i++) {
		if (Math.abs(currentA[i]!) < restA || currentA[i]! * currentA[i + 1]! <= 0) continue;
		const side = currentA[i]! > 0 ? sides.positive : sides.negative;
		side.sumV += voltageV[i]!;
		side.n++;
		side.change += voltageV[i + 1]! - voltageV[i]!;
	}
	const { positive, negative } = sides;
	const told = (isTurned: boolean) => {
		if (isTurned) faults.push({ code: 'sign-flipped', message: TURNED, row: null });
		return Float64Array.from(currentA, (a) => (isTurned ? a : -a));
	};
	if (positive.n && negative.n) return told(positive.sumV / positive.n < negative.sumV / negative.n);
	const all = stretches(log, restA);
	const charges = all.filter((s) => rises(log, s, baseAh));
	if (charges.length && charges.length < all.length) {
		faults.push({
			code: 'unsigned-current',
			message: `All currents are written with one sign; ${charges.length === 1 ? 'one stretch whose volts rise is' : `${charges.length} stretches whose volts rise are`} taken as charging.`,
			row: log.rows[charges[0]![0]]!
		});
		const outA = Float64Array.from(currentA, Math.abs);
		for (const [from, to] of charges) for (let i = from; i <= to; i++) outA[i]! *= -1;
		return outA;
	}
	const side = positive.n ? positive : negative;
	if (side.change > 0 || side.n === 0)
		faults.push({
			code: 'direction-unclear',
			message: 'The voltage does not fall while current flows: is this a discharge? It was counted as one.',
			row: null
		});
	return told(positive.n > 0);
}
