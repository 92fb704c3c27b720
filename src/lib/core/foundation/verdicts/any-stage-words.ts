import { listWords } from './build-words';
import type { Words } from './verdict';

type Evidence = 'leads' | 'torques' | 'joints' | 'bms' | 'counters' | 'capacity' | 'balance';
type Cause = 'cell-exchanged' | 'cell-taken-out' | 'lead-moved' | 'bms-changed' | 'joint-opened';

export interface AnyStageFacts {
	/** A stage whose records could not be judged: the others stand. */
	'not-judged': { stage: string; reason: string };
	/** Proofs that no longer stand, because what they rest on was exchanged, moved or opened since. */
	'evidence-lapsed': {
		evidence: readonly Evidence[];
		cause: Cause;
		/** Groups of a cell, leads, or joints; empty: the whole battery. */
		positions: readonly number[];
		/** The cell that was taken out, and the one that is in its place; null where none is. */
		out: string | null;
		into: string | null;
		/** Day of the change, by the calendar in UTC. */
		on: string;
	};
}

const PROOFS: Record<Evidence, string> = {
	leads: 'balance leads',
	torques: 'torque of the joints beside it',
	joints: 'joints under load',
	bms: 'BMS against the voltmeter',
	counters: 'charge in against charge out',
	capacity: 'capacity of the battery',
	balance: 'balance'
};

function causeWords({ cause, positions, out, into }: AnyStageFacts['evidence-lapsed']): string {
	const where = positions.length ? ` ${listWords(positions)}` : '';
	switch (cause) {
		case 'cell-exchanged':
			return `${out ?? 'A cell'} in group${where} was exchanged for ${into ?? 'another'}`;
		case 'cell-taken-out':
			return `${out ?? 'A cell'} was taken out of group${where}`;
		case 'lead-moved':
			return positions.length ? `Balance lead${where} was moved` : 'Balance leads were moved';
		case 'bms-changed':
			return 'The BMS was changed';
		case 'joint-opened':
			return positions.length ? `Joint${where} was opened` : 'Joints were opened';
	}
}

export const ANY_STAGE_WORDS: Words<AnyStageFacts> = {
	'not-judged': ({ facts: { stage, reason } }) => ({
		title: `${stage} could not be judged`,
		finding: reason,
		doubt: 'Nothing was lost: what is recorded stays, and the other stages are judged.',
		rule: 'One record never takes a page down.',
		next: 'Look at what was entered last in this stage and correct it or take it out.'
	}),
	'evidence-lapsed': ({ facts }) => ({
		title:
			facts.evidence.length === 1
				? 'One check must be made again'
				: `${facts.evidence.length} checks must be made again`,
		finding: `${causeWords(facts)}. To be checked again: ${listWords(facts.evidence.map((e) => PROOFS[e]))}.`,
		doubt: null,
		rule: 'A check rests on the cells, leads, joints and BMS it was made with. What was read before is kept in the history.',
		next: facts.evidence.includes('leads')
			? 'Pull the plug of the BMS first. Then read every balance lead again before it goes in.'
			: 'Make these checks again before you rely on the battery.'
	})
};
