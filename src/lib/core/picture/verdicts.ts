import { voltsWords, sayFrom, verdict, listWords, type Measured } from '../foundation/verdicts';
import type { Chemistry } from '../foundation/chemistry';

interface EvidenceLapsedFacts {
	evidence: readonly Evidence[];
	cause: Cause;
	/** Groups of a cell, leads, or joints; empty: the whole battery. */
	positions: readonly number[];
	/** The cell that was taken out, and the one that is in its place; null where none is. */
	out: string | null;
	into: string | null;
	/** Day of the change, by the calendar in UTC. */
	on: string;
}

type Evidence = 'leads' | 'torques' | 'joints' | 'bms' | 'counters' | 'capacity' | 'balance';

type Cause = 'cell-exchanged' | 'cell-taken-out' | 'lead-moved' | 'bms-changed' | 'joint-opened';

const PROOFS: Record<Evidence, string> = {
	leads: 'balance leads',
	torques: 'torque of the joints beside it',
	joints: 'joints under load',
	bms: 'BMS against the voltmeter',
	counters: 'charge in against charge out',
	capacity: 'capacity of the battery',
	balance: 'balance'
};

function causeWords({ cause, positions, out, into }: EvidenceLapsedFacts): string {
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

export const SHARED_VERDICTS = {
	'evidence-lapsed': verdict<EvidenceLapsedFacts>()({
		means: 'Proofs that no longer stand, because what they rest on was exchanged, moved or opened since.',
		urgencies: ['open'],
		words: ({ facts }) => ({
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
	}),
	'no-cell-type': verdict<{ wantedFor: 'everything' | 'limits' }>()({
		means: 'No cell type is chosen; the stage says what for it is missed.',
		urgencies: ['open', 'look'],
		words: ({ facts }) =>
			facts.wantedFor === 'limits'
				? {
						title: 'No cell type chosen',
						finding: 'Limits start from the maker’s figures.',
						doubt: null,
						rule: 'Limits come from cell type, measured cells, wiring and strategy.',
						next: 'Choose the cell type in Plan.'
					}
				: {
						title: 'No cell type chosen',
						finding: 'Verdicts, matching and limits start from the maker’s figures.',
						doubt: null,
						rule: 'Every bank has a cell type.',
						next: 'Choose or make the cell type.'
					}
	}),
	'not-one-cell': verdict<{ restVoltageV: Measured; mostV: number; chemistry: Chemistry }>()({
		means: 'A reading that no one cell can have.',
		urgencies: ['look'],
		mark: 'no cell’s',
		words: ({ facts: { restVoltageV, mostV, chemistry }, subject }) => ({
			title: `${subject.label} cannot rest at ${voltsWords(restVoltageV)}`,
			finding: `That is more than any one ${chemistry} cell can have.`,
			doubt: 'A slipped decimal, or probes across more than one cell.',
			rule: `Above ${mostV.toFixed(2)} V it is no reading of one ${chemistry} cell. It is left out of the comparison.`,
			next: `Read ${subject.label} again, both probes on its own terminals, and type it over this one.`
		})
	})
};

export const say = sayFrom(SHARED_VERDICTS);
