import type { LivePhase } from './live-plan';
import type { LiveSample } from './live-state';

/** A setting read back may be rounded by the instrument by so much: V, and A as a share with a floor. */
const SET_WITHIN = { voltageV: 0.02, share: 0.01, currentA: 0.1 };
/** Two instruments in one circuit may differ by so much: a share of the larger, and A. Usual displays keep within 1 % each. */
const READ_WITHIN = { share: 0.02, currentA: 0.2 };

/**
 * How an output's own settings differ from those of its phase, in words.
 * @returns null when they agree or the instrument does not tell them
 */
export function settingFault(phase: LivePhase, { setTo }: LiveSample): string | null {
	if (!setTo || (phase.kind !== 'charge' && phase.kind !== 'discharge')) return null;
	const wantedV = phase.kind === 'charge' ? phase.voltageV : phase.cutoffV;
	const faults: string[] = [];
	if (Math.abs(setTo.voltageV - wantedV) > SET_WITHIN.voltageV)
		faults.push(`${setTo.voltageV.toFixed(2)} V, not ${wantedV.toFixed(2)} V`);
	if (Math.abs(setTo.currentA - phase.currentA) > Math.max(SET_WITHIN.currentA, SET_WITHIN.share * phase.currentA))
		faults.push(`${setTo.currentA.toFixed(1)} A, not ${phase.currentA.toFixed(1)} A`);
	return faults.length === 0 ? null : `It says it is set to ${faults.join(' and ')}`;
}

interface NamedCurrent {
	name: string;
	currentA: number;
}

/**
 * Every statement about the one current of a phase, magnitudes in A: what a load is set to, what the output displays, what others
 * in the circuit read. A supply is left out of the first: in its taper it gives less than it is set to.
 */
export function currentsTold(phase: LivePhase, sample: LiveSample): NamedCurrent[] {
	if (phase.kind !== 'charge' && phase.kind !== 'discharge') return [];
	const display = Math.abs(sample.displayA ?? sample.currentA);
	return [
		...(phase.kind === 'discharge' ? [{ name: 'set', currentA: phase.currentA }] : []),
		{ name: phase.kind === 'discharge' ? 'load' : 'supply', currentA: display },
		...(sample.alsoRead ?? []).map(({ name, currentA }) => ({ name, currentA: Math.abs(currentA) }))
	];
}

/** The two statements about the current that lie furthest apart; null when all agree or there is only one. */
export function currentsApart(phase: LivePhase, sample: LiveSample): [NamedCurrent, NamedCurrent] | null {
	const told = currentsTold(phase, sample);
	if (told.length < 2) return null;
	const low = told.reduce((a, b) => (b.currentA < a.currentA ? b : a));
	const high = told.reduce((a, b) => (b.currentA > a.currentA ? b : a));
	const within = READ_WITHIN.currentA + READ_WITHIN.share * high.currentA;
	return high.currentA - low.currentA > within ? [low, high] : null;
}
