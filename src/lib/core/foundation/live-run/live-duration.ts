import type { Chemistry } from '../chemistry';
import type { LivePhase } from './live-plan';
import type { LiveState } from './live-state';
import { toTheEndAh } from './to-the-end';

/** Bounds of a time, s. */
export interface Duration {
	low: number;
	high: number;
}

/** What a run was planned with. */
export interface PlannedRun {
	phases: readonly LivePhase[];
	/** What the cell or row should hold, Ah; null when nobody knows. */
	expectedAh: number | null;
	/** Null: nobody knows, so no voltage tells how far it is. */
	chemistry: Chemistry | null;
}

/** Doubt of a time left, as shares: what comes out of a cell against what it should hold, charge that was told, and the fall of a taper. */
const DOUBT = { below: 0.2, above: 0.1, charge: 0.1, taper: 0.3 };
/** Below this share of the set current nothing moves that a time could be told from. */
const IDLE_BELOW = 0.02;

/** Time left in the phase a run is in; null when it cannot be told. */
export function remainingS({ phases, expectedAh, chemistry }: PlannedRun, state: LiveState): Duration | null {
	const phase = phases[state.phase];
	const { last } = state;
	const sums = state.sums[state.phase];
	if (!phase || !last || !sums || phase.kind === 'watch' || state.done) return null;
	if (phase.kind === 'rest') {
		const left = Math.max(0, phase.durationS - (last.atMs - sums.startedMs) / 1000);
		return { low: left, high: left };
	}
	const spread = (seconds: number, doubt: number) => ({ low: seconds * (1 - doubt), high: seconds * (1 + doubt) });
	const taper = state.taperFrom;
	if (phase.kind === 'charge' && taper && last.currentA > 0 && last.currentA < 0.9 * taper.currentA) {
		const tauS = (last.atMs - taper.atMs) / 1000 / Math.log(taper.currentA / last.currentA);
		return spread(Math.max(0, tauS * Math.log(Math.max(1, last.currentA / phase.tailA))) + phase.holdS, DOUBT.taper);
	}
	if (Math.abs(last.currentA) < IDLE_BELOW * phase.currentA) return null;
	const secondsFor = (ah: number) => (ah / Math.abs(last.currentA)) * 3600;
	if (phase.kind === 'charge' && phase.stopAh !== undefined)
		return spread(secondsFor(Math.max(0, phase.stopAh - Math.abs(sums.ah))), DOUBT.charge);
	if (expectedAh === null) return null;
	const byVoltage = chemistry && toTheEndAh(phase, last, expectedAh, chemistry);
	if (phase.kind === 'charge')
		return byVoltage && chargeLeft(phase, byVoltage, secondsFor, (WITH_TAPER - 1) * secondsFor(expectedAh));
	const left = dischargeLeft(Math.abs(sums.ah), expectedAh, byVoltage);
	return { low: secondsFor(left.low), high: secondsFor(left.high) };
}

/** By what it should hold, where its voltage does not know better: it may not have begun full, nor hold what it should. */
function dischargeLeft(outAh: number, expectedAh: number, byVoltage: Duration | null): Duration {
	const counted = {
		low: Math.max(0, expectedAh * (1 - DOUBT.below) - outAh),
		high: Math.max(0, expectedAh * (1 + DOUBT.above) - outAh)
	};
	if (!byVoltage) return counted;
	const both = { low: Math.max(counted.low, byVoltage.low), high: Math.min(counted.high, byVoltage.high) };
	return both.low <= both.high ? both : byVoltage;
}

/** To the set voltage by the curve, and then a taper of which nothing is known before it begins. Where the charge began, nobody measured. */
const chargeLeft = (
	{ holdS }: Extract<LivePhase, { kind: 'charge' }>,
	toSetAh: Duration,
	secondsFor: (ah: number) => number,
	taperS: number
): Duration => ({ low: secondsFor(toSetAh.low) + holdS, high: secondsFor(toSetAh.high) + taperS + holdS });

/** A charge of unknown beginning, from nothing at all to everything with its taper (share of the time at the set current). */
const WITH_TAPER = 1.25;

/** How long a phase takes as planned; null for one that has no end, or when nobody knows what the cell should hold. */
function phaseS(phase: LivePhase, expectedAh: number | null): Duration | null {
	if (phase.kind === 'watch') return null;
	if (phase.kind === 'rest') return { low: phase.durationS, high: phase.durationS };
	const ah = phase.kind === 'charge' ? (phase.stopAh ?? expectedAh) : expectedAh;
	if (ah === null) return null;
	const steadyS = (ah / phase.currentA) * 3600;
	if (phase.kind === 'discharge') return { low: steadyS * (1 - DOUBT.charge), high: steadyS * (1 + DOUBT.charge) };
	if (phase.stopAh !== undefined) return { low: steadyS, high: steadyS * WITH_TAPER };
	return { low: phase.holdS, high: steadyS * WITH_TAPER + phase.holdS };
}

/**
 * Time left until the whole run has ended and a person is needed: what is left of this phase, and those after it as planned.
 * Before a run has begun, all of it.
 * @returns bounds, s; null when it has no end or it cannot be told
 */
export function toEndS(run: PlannedRun, state: LiveState): Duration | null {
	const { phases, expectedAh } = run;
	if (state.done) return { low: 0, high: 0 };
	const parts = phases.slice(state.phase).map((phase, k) => {
		const whole = phaseS(phase, expectedAh);
		const sums = k === 0 ? state.sums[state.phase] : undefined;
		if (!sums || !state.last) return whole;
		const goneS = (state.last.atMs - sums.startedMs) / 1000;
		const left = whole && { low: Math.max(0, whole.low - goneS), high: Math.max(0, whole.high - goneS) };
		return remainingS(run, state) ?? left;
	});
	return parts.reduce<Duration | null>(
		(sum, part) => (sum && part ? { low: sum.low + part.low, high: sum.high + part.high } : null),
		{ low: 0, high: 0 }
	);
}
