import { WORN_CELLS_SD, say } from '../verdicts';
import { median } from 'd3-array';
import { LOADED_OHM_AH, restVoltageCurve, type Chemistry } from '../../foundation/chemistry';
import { normalQuantile } from '../../foundation/statistics';
import { measured, type Subject, type Verdict } from '../../foundation/verdicts';

/** Unlike charge of the groups, one sd, fraction; and how far the charge may be from what the loaded volts say (defaults). */
const CHARGE = { sd: 0.013, within: 0.05 };
/** Hysteresis, and a moment between two readings, one sd, V (default). */
const MOMENT_SD_V = 0.003;
/** Less is no joint worth looking for, Ω (default). */
const MIN_OHM = 0.0002;
/** One group of many is told because it stands furthest apart: its doubt is that of the furthest (Šidák, both sides). */
const widest = (groups: number): number => normalQuantile(1 - (1 - 0.95 ** (1 / groups)) / 2);

/** What unlike charge does to the volts of groups that would rest at about `restV`: little on the plateau, much near its ends. V, one sd. */
function unlikeChargeV(chemistry: Chemistry, restV: number): number {
	const curve = restVoltageCurve(chemistry);
	const soc = curve.xOf(restV);
	const inside = (x: number) => Math.min(1, Math.max(0, x));
	const spread = [-CHARGE.within, 0, CHARGE.within].map(
		(by) => curve.at(inside(soc + by + CHARGE.sd)) - curve.at(inside(soc + by - CHARGE.sd))
	);
	return Math.max(...spread) / 2;
}

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
	{ meterSdV, groupAh, chemistry }: { meterSdV: number; groupAh: number; chemistry: Chemistry },
	groups: readonly Subject[],
	battery: Subject
): Verdict[] {
	const read = groupVoltagesV.flatMap((v, i) => (v === null ? [] : [{ v, i }]));
	const amps = Math.abs(currentA);
	const z = widest(read.length);
	const ohm = LOADED_OHM_AH / groupAh;
	const restV = median(read, (r) => r.v)! - currentA * ohm;
	const sdV = Math.hypot(
		Math.SQRT2 * meterSdV,
		WORN_CELLS_SD * amps * ohm,
		MOMENT_SD_V,
		unlikeChargeV(chemistry, restV)
	);
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
		const isBad = excessV > z * sdV && excessV / amps > MIN_OHM;
		return isBad ? [{ i, differenceV, ohm: excessV / amps }] : [];
	});
	const ohmSd = sdV / amps;
	if (apart.length === 0)
		return [
			say('load-even', 'calm', battery, {
				spreadV: Math.max(...read.map((r) => r.v)) - Math.min(...read.map((r) => r.v)),
				currentA,
				seesMohm: 1000 * Math.max(MIN_OHM, z * ohmSd)
			})
		];
	return apart.map(({ i, differenceV, ohm }) =>
		say('load-apart', 'look', groups[i] ?? battery, {
			differenceV: measured(differenceV, sdV),
			currentA,
			mOhm: { low95: 1000 * (ohm - z * ohmSd), likely: 1000 * ohm, high95: 1000 * (ohm + z * ohmSd) },
			heatW: amps ** 2 * ohm,
			group: i + 1
		})
	);
}
