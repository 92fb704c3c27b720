import type { Verdict } from '../shared';
import type { ChargeProgress } from './progress';

/** The phases of a parallel charge in words. */
export const PHASE_WORDS: Record<ChargeProgress['phase'], string> = {
	'not-started': 'not started',
	'constant-current': 'at full current',
	'lead-limited': 'held back by its leads',
	taper: 'in the taper',
	held: 'at the tail'
};

/** What to think of a running charge: whether to end it, what is still missing, and leads that pass for fullness. */
export function chargeVerdicts(progress: ChargeProgress): Verdict[] {
	const base = { cellIds: [] as number[], doubt: null };
	if (progress.done)
		return [
			{
				...base,
				code: 'balance-done',
				warmth: 'look',
				title: 'Full and balanced: end it now',
				finding: 'Supply at the set voltage, tail held for 30 minutes, meter agrees.',
				rule: 'Do not leave cells held at the limit.',
				next: 'Switch the supply off, take its leads off, and end the balance here.'
			}
		];
	const unmet: Verdict = {
		...base,
		code: 'balance-unmet',
		warmth: 'calm',
		title: `Not done: ${PHASE_WORDS[progress.phase]}`,
		finding: `${progress.unmet.join('. ')}.`,
		rule: 'Done: set voltage, tail below 0.02 C of one cell for 30 minutes, meter at the cells agrees.',
		next: 'Read supply and meter again when you pass by.'
	};
	return progress.phase === 'lead-limited' ? [leadVerdict(progress), unmet] : [unmet];
}

function leadVerdict(progress: ChargeProgress): Verdict {
	const leads = progress.leadOhm === null ? '' : `: the leads have ${(progress.leadOhm * 1000).toFixed(0)} mΩ`;
	return {
		code: 'lead-drop',
		warmth: 'look',
		title: 'Low current is the leads, not a full battery',
		finding: `The cells are below the set voltage while the current is low${leads}.`,
		doubt: progress.leadOhm === null ? 'Read the supply’s volts as well to know by how much.' : null,
		rule: 'R = (supply V − cell V) ÷ A.',
		next: 'Use shorter, thicker leads with ring terminals.',
		cellIds: []
	};
}
