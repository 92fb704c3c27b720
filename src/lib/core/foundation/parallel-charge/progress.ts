import { CoreError, requireFinite } from '../errors';
import type { Interval } from '../statistics';
import type { ChargePhase, Unmet } from './phase-words';
import type { ChargeReading } from './charge-reading';
import { countedCharge } from './counter-sessions';
import { betweenSupplyAndCells } from './supply-display';
import { secondsToTail } from './time-left';
import type { ParallelCharge } from './top-charge';

export interface ChargeTargets {
	setV: number;
	setA: number;
	tailA: number;
	toDeliverAh: { low: number; high: number };
	charge: ParallelCharge;
}

export interface ChargeProgress {
	phase: ChargePhase;
	deliveredAh: number;
	/** Between what that lies where a counter may have begun anew, Ah. */
	deliveredWithinAh: { low: number; high: number };
	/** Places of readings of which nobody can tell whether their counter began anew. */
	counterAsks: readonly number[];
	/** Seconds from the last reading to the tail; null when it cannot be told yet. */
	remainingS: { low: number; high: number } | null;
	/** Resistance of leads and clamps, Ω; null without both voltages. */
	leadOhm: number | null;
	done: boolean;
	/** It is done because the current no longer falls although it is above the tail: what it stands at, A. Something leaks. */
	flatA: number | null;
	/** What still keeps it from being done. */
	unmet: Unmet[];
	/** It gives nothing, or neither its volts nor its amperes; null: it works as it should, or was not read. */
	supply: 'dead' | 'sags' | null;
	/** What it shows more than it gives, V, where that is more than its leads and the meter explain; null: nothing is wrong with its display. */
	displayV: Interval | null;
	last: ChargeReading | null;
}

/** The meter at the cells agrees with the set voltage within this, V. */
const AT_SET_V = 0.015;
/** Below this share of the set current the supply is no longer at full current. */
const BELOW_FULL = 0.95;
/** The tail must last this long, s. */
export const HOLD_S = 1800;
/** A current that has not fallen by this share in so long no longer falls (default). */
const FLAT_S = 7200;
const FLAT_SHARE = 0.05;
/** Readings used for the fit of the taper. */
const FIT_READINGS = 5;
/** Doubt of a taper fit on few readings: ± this fraction of the time left. */
const FIT_DOUBT = 0.3;

/** The set current is held within this; below the set voltage by more than this it is not at its volts, V. */
const SAG = { share: 0.9, volts: 0.05 };

function supplyFault(last: ChargeReading, { setV, setA, tailA }: ChargeTargets): ChargeProgress['supply'] {
	if (last.stopped) return null;
	const below =
		last.cellV === null ? last.supplyV !== null && last.supplyV < setV - SAG.volts : last.cellV < setV - SAG.volts;
	if (last.supplyA <= 0) return below ? 'dead' : null;
	const neither = last.supplyV !== null && last.supplyV < setV - SAG.volts && last.supplyA < SAG.share * setA;
	return neither && last.supplyA > tailA ? 'sags' : null;
}

/** Nothing flows and the supply does not stand at its voltage: it is off, and that is no tail. */
const inCircuit = ({ supplyA, supplyV, stopped }: ChargeReading, { setV }: Pick<ChargeTargets, 'setV'>): boolean =>
	stopped === true || supplyA > 0 || (supplyV !== null && supplyV >= setV - AT_SET_V);

function phaseOf(last: ChargeReading, targets: ChargeTargets, display: Interval | null): ChargeProgress['phase'] {
	if (!inCircuit(last, targets)) return 'off';
	if (last.supplyA >= BELOW_FULL * targets.setA) return 'constant-current';
	// A supply that gives less than it shows is not held back by its leads.
	if (!display && last.cellV !== null && last.cellV < targets.setV - AT_SET_V && last.supplyA > targets.tailA)
		return 'lead-limited';
	return last.supplyA <= targets.tailA ? 'held' : 'taper';
}

/** Seconds until the current reaches the tail, from a straight line through log current (least squares); null when it does not fall. */
function taperRemainingS(readings: readonly ChargeReading[], targets: ChargeTargets): number | null {
	const used = readings.filter((r) => r.supplyA < BELOW_FULL * targets.setA && r.supplyA > 0).slice(-FIT_READINGS);
	if (used.length < 2) return null;
	const meanT = used.reduce((s, r) => s + r.timeS, 0) / used.length;
	const meanY = used.reduce((s, r) => s + Math.log(r.supplyA), 0) / used.length;
	const sxx = used.reduce((s, r) => s + (r.timeS - meanT) ** 2, 0);
	const slope = used.reduce((s, r) => s + (r.timeS - meanT) * (Math.log(r.supplyA) - meanY), 0) / sxx;
	if (!(slope < 0)) return null;
	const endS = meanT + (Math.log(targets.tailA) - meanY) / slope;
	return Math.max(0, endS - used[used.length - 1]!.timeS);
}

/**
 * Where a parallel charge stands: phase, charge delivered, time left and whether the done rule holds (supply at the
 * set voltage, tail below the limit for 30 minutes, meter at the cells agrees). Low current with the cells below the
 * set voltage is lead drop, not "nearly full".
 * @param readings in time order; empty: not started
 * @throws CoreError `time-order`, `not-a-number`
 */
export function judgeProgress(readings: readonly ChargeReading[], targets: ChargeTargets): ChargeProgress {
	readings.forEach((r, i) => {
		requireFinite(r.supplyA, `readings.${i}.supplyA`);
		if (i > 0 && r.timeS <= readings[i - 1]!.timeS)
			throw new CoreError(
				'time-order',
				`readings.${i}.timeS`,
				`readings require rising times, got ${r.timeS} s after ${readings[i - 1]!.timeS} s`
			);
	});
	if (readings.length === 0)
		return {
			phase: 'not-started',
			deliveredAh: 0,
			deliveredWithinAh: { low: 0, high: 0 },
			counterAsks: [],
			remainingS: null,
			leadOhm: null,
			done: false,
			flatA: null,
			unmet: [{ wanted: 'first-reading' }],
			supply: null,
			displayV: null,
			last: null
		};
	const last = readings[readings.length - 1];
	const between = betweenSupplyAndCells(readings.filter((r) => !r.stopped));
	const isOff = between && (between.displayV.low95 > AT_SET_V || between.displayV.high95 < -AT_SET_V);
	const displayV = isOff ? between.displayV : null;
	const phase = phaseOf(last!, targets, displayV);
	const { ah: deliveredAh, low, high, asks } = countedCharge(readings);
	const open = unmetConditions(readings, targets);
	const flatA = open.length === 1 && open[0]!.wanted === 'tail-held' ? flatCurrent(readings, targets) : null;
	const unmet = flatA === null ? open : [];
	const leadOhm = isOff
		? between.leadOhm
		: last!.cellV === null || last!.supplyV === null || last!.supplyA <= 0
			? null
			: (last!.supplyV - last!.cellV) / last!.supplyA;
	return {
		phase,
		deliveredAh,
		deliveredWithinAh: { low, high },
		counterAsks: asks,
		remainingS: remaining(phase, readings, { deliveredAh, leadOhm }, targets),
		leadOhm,
		done: unmet.length === 0,
		flatA,
		unmet,
		supply: supplyFault(last!, targets),
		displayV,
		last: last!
	};
}

function remaining(
	phase: ChargeProgress['phase'],
	readings: readonly ChargeReading[],
	{ deliveredAh, leadOhm }: Pick<ChargeProgress, 'deliveredAh' | 'leadOhm'>,
	targets: ChargeTargets
): ChargeProgress['remainingS'] {
	const last = readings[readings.length - 1];
	if (phase === 'off') return null;
	if (phase === 'held') return { low: 0, high: HOLD_S };
	if (phase === 'taper') {
		const fitted = taperRemainingS(readings, targets);
		return fitted === null ? null : { low: fitted * (1 - FIT_DOUBT), high: fitted * (1 + FIT_DOUBT) + HOLD_S };
	}
	if (last!.supplyA <= 0) return null;
	const { charge, toDeliverAh } = targets;
	// What it gives at full current is what it gives, whatever it was meant to.
	const supplyA = phase === 'constant-current' ? last!.supplyA : charge.supplyA;
	const asRead = { ...charge, supplyA, leadOhm: Math.max(0, leadOhm ?? charge.leadOhm) };
	const left = secondsToTail(asRead, { toDeliverAh, deliveredAh });
	return left && { low: left.low, high: left.high + HOLD_S };
}

/** The current where it has not fallen for two hours of a taper, A; null while it falls or nobody knows. */
function flatCurrent(readings: readonly ChargeReading[], targets: ChargeTargets): number | null {
	const last = readings[readings.length - 1]!;
	if (last.supplyA <= targets.tailA || last.supplyA >= BELOW_FULL * targets.setA) return null;
	const before = readings.filter((r) => r.timeS <= last.timeS - FLAT_S).at(-1);
	if (!before || before.supplyA >= BELOW_FULL * targets.setA) return null;
	return last.supplyA >= (1 - FLAT_SHARE) * before.supplyA ? last.supplyA : null;
}

function unmetConditions(readings: readonly ChargeReading[], targets: ChargeTargets): Unmet[] {
	const last = readings[readings.length - 1];
	const unmet: Unmet[] = [];
	const { setV, tailA } = targets;
	if (last!.supplyV === null || last!.supplyV < setV - AT_SET_V) unmet.push({ wanted: 'supply-at-set', setV });
	if (last!.cellV === null) unmet.push({ wanted: 'meter-at-cells' });
	else if (Math.abs(last!.cellV - setV) > AT_SET_V) unmet.push({ wanted: 'cells-at-set', setV, cellV: last!.cellV });
	const lastAbove = readings.map((r) => r.supplyA > tailA || !inCircuit(r, { setV })).lastIndexOf(true);
	const tailFrom = readings[lastAbove + 1];
	if (!tailFrom || last!.timeS - tailFrom.timeS < HOLD_S)
		unmet.push({ wanted: 'tail-held', tailA, minutes: HOLD_S / 60 });
	return unmet;
}
