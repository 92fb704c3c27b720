import { median } from 'd3-array';
import { LOADED_OHM_AH } from '../cell-model';
import { measured, say, type Subject, type Verdict } from '../verdicts';

/** Resistance of sound groups differs by this share of itself, one sd (default). */
const CELLS_SD = 0.045;
/** Unlike charge on the plateau, and a moment between two readings, one sd, V (default). */
const CHARGE_SD_V = 0.004;
/** Less is no joint worth looking for, Ω (default). */
const LEAST_OHM = 0.0002;
const Z95 = 1.96;

interface LoadedCheck {
	/** A, positive into the battery. */
	currentA: number;
	/** One a group, position 1 first; null where it was not read. */
	groupVoltagesV: readonly (number | null)[];
}

/**
 * Groups that stand apart from the median of the others while current flows, each told as the resistance that would explain it
 * (models §12). @param meterSdV of one reading, one sd, V @param groupAh rated capacity of a group
 * @returns one verdict a group that stands apart, or that none does; at least two groups must have been read
 */
export function judgeUnderLoad(
	{ currentA, groupVoltagesV }: LoadedCheck,
	{ meterSdV, groupAh }: { meterSdV: number; groupAh: number },
	groups: readonly Subject[],
	battery: Subject
): Verdict[] {
	const read = groupVoltagesV.flatMap((v, i) => (v === null ? [] : [{ v, i }]));
	const amps = Math.abs(currentA);
	const sdV = Math.hypot(Math.SQRT2 * meterSdV, CELLS_SD * amps * (LOADED_OHM_AH / groupAh), CHARGE_SD_V);
	// A discharge lowers the group whose joint is bad, a charge raises it.
	const excessOf = (differenceV: number) => differenceV * Math.sign(currentA);
	const apart = read.flatMap(({ v, i }) => {
		const differenceV =
			v -
			median(
				read.filter((r) => r.i !== i),
				(r) => r.v
			)!;
		const excessV = excessOf(differenceV);
		const isBad = excessV > Z95 * sdV && excessV / amps > LEAST_OHM;
		return isBad ? [{ i, differenceV, ohm: excessV / amps }] : [];
	});
	const ohmSd = sdV / amps;
	if (apart.length === 0)
		return [
			say('load-even', 'calm', battery, {
				spreadV: Math.max(...read.map((r) => r.v)) - Math.min(...read.map((r) => r.v)),
				currentA,
				seesMohm: 1000 * Math.max(LEAST_OHM, Z95 * ohmSd)
			})
		];
	return apart.map(({ i, differenceV, ohm }) =>
		say('load-apart', 'look', groups[i] ?? battery, {
			differenceV: measured(differenceV, sdV),
			currentA,
			mOhm: { low95: 1000 * (ohm - Z95 * ohmSd), likely: 1000 * ohm, high95: 1000 * (ohm + Z95 * ohmSd) },
			heatW: amps ** 2 * ohm,
			group: i + 1
		})
	);
}
