import { countedAh, type ChargeMovement } from '../charge-account';
import type { LivePhase } from './live-plan';
import type { LiveState, PhaseSums } from './live-state';

/** What flowed in a phase; a gap may hide what a steady current would have moved, or nothing. */
function movedIn({ ah, gapAh }: PhaseSums): ChargeMovement['movedAh'] {
	const [without, withGap] = [countedAh(ah), countedAh(ah + gapAh)];
	return { low: Math.min(without.low, withGap.low), high: Math.max(without.high, withGap.high) };
}

/** How a phase that ran to its end left the cell. A charge of so many Ah ends nowhere in particular. */
const endOfPhase = (phase: LivePhase): ChargeMovement['end'] =>
	phase.kind === 'charge' && phase.stopAh === undefined ? 'full' : phase.kind === 'discharge' ? 'empty' : null;

/**
 * What a live run did to the charge of its cell, phase by phase, rests left out, by the clock of its samples.
 * @param ended whether the run has ended: then nothing goes on
 */
export function movementsOfLive(phases: readonly LivePhase[], state: LiveState, ended: boolean): ChargeMovement[] {
	return state.sums.flatMap((sums, k): ChargeMovement[] => {
		const phase = phases[k];
		if (!phase || (phase.kind !== 'charge' && phase.kind !== 'discharge')) return [];
		const isLast = k === state.sums.length - 1;
		const through = !isLast || state.done;
		const goesOn = isLast && !ended && !state.done;
		return [
			{
				fromMs: sums.startedMs,
				untilMs: goesOn ? null : (sums.endedMs ?? state.last?.atMs ?? sums.startedMs),
				end: through ? endOfPhase(phase) : null,
				movedAh: movedIn(sums)
			}
		];
	});
}
