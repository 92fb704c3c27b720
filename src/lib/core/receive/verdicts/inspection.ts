import { SWELLS } from './bounds';
import { countWords, shareWords, verdict } from '../../foundation/verdicts';

const REASONS = {
	leak: 'it leaks',
	smell: 'it smells',
	heat: 'it is hotter than the others',
	swelling: 'it has swollen',
	vent: 'its vent is open or pressed out'
};

const SEEN = {
	dent: 'a dent',
	terminals: 'terminals that are not square or clean',
	thread: 'a thread or stud that is not sound',
	sleeve: 'a torn sleeve'
};

const UNLIKE = { batch: 'batches', terminalKind: 'terminals', sleeveKind: 'sleeves', ventKind: 'vents' };

const WHY_UNLIKE = {
	batch: 'batches differ in capacity, resistance and age, and age apart from each other',
	terminalKind: 'bars, screws and torques of one do not fit the other',
	sleeveKind: 'a renewed sleeve hides what was under it, and its print may be another cell’s',
	ventKind: 'other cases are often other cells'
};

const list = (words: readonly string[]) =>
	words.length > 1 ? `${words.slice(0, -1).join(', ')} and ${words.at(-1)}` : (words[0] ?? '');

export const INSPECTION_VERDICTS = {
	'inspection-stop': verdict<{
		reasons: readonly ('leak' | 'smell' | 'heat' | 'swelling' | 'vent')[];
		resolved: string | null;
		lifted: boolean;
		/** It sits in a battery that is in use. */
		atWork: boolean;
		outMm: number | null;
		mostMm: number | null;
		nominalMm: number | null;
	}>()({
		means:
			'A cell that must not be used: leak, smell, swelling, vent; `resolved`: what was done with it, `lifted`: so that it may be used.',
		urgencies: ['calm', 'stop'],
		calm: 'note',
		mark: ({ reasons }) => reasons.join(', '),
		remedy: { to: 'receive/look', text: 'Say what became of it' },
		words: ({ facts: { reasons, resolved, lifted, atWork, outMm, mostMm, nominalMm }, subject }) => ({
			title: lifted
				? `${subject.label} may be used again, as recorded`
				: `${subject.label} must not be used: ${list(reasons.map((r) => REASONS[r]))}`,
			finding: [
				reasons.includes('swelling') && mostMm !== null
					? `${mostMm.toFixed(1)} mm thick${outMm ? `, ${outMm.toFixed(1)} mm over its edges` : ''}${nominalMm === null ? '' : `; ${nominalMm.toFixed(1)} mm by its sheet`}.`
					: null,
				'Seen on inspection.',
				resolved ? `Recorded: ${resolved}.` : null
			]
				.filter(Boolean)
				.join(' '),
			doubt: null,
			rule: `Leak, smell, heat that no current explains, an open vent, or a case more than ${SWELLS.outMm} mm over its edges or ${shareWords(SWELLS.share)} over its sheet (default; the maker’s limit first).`,
			next: lifted
				? null
				: atWork
					? 'Switch loads and chargers off, open the main switch and keep away while it is hot or smells. Do not charge the bank. Once it is cold: gloves and glasses, take the battery apart, quarantine the cell outdoors on concrete or tiles.'
					: resolved
						? 'It stays a stop: a leak or an open vent is not mended. Remove the cell from this bank; its record stays.'
						: 'Do not charge, connect or clamp it. Quarantine it outdoors on concrete or tiles, away from anything that burns; gloves and glasses; do not breathe what comes out. Tell the supplier.'
		})
	}),
	'inspection-look': verdict<{ seen: readonly ('dent' | 'terminals' | 'thread' | 'sleeve')[]; renewed: boolean }>()({
		means: 'Damage to look at.',
		urgencies: ['look'],
		mark: ({ seen }) => seen.join(', ') || 'sleeve',
		words: ({ facts: { seen, renewed }, subject }) => ({
			title: `${subject.label}: ${list([...seen.map((s) => SEEN[s]), ...(renewed ? ['a renewed sleeve'] : [])])}`,
			finding: renewed
				? 'A renewed sleeve hides the case, and its print may be another cell’s.'
				: 'Seen on inspection.',
			doubt: null,
			rule: 'What is seen is judged by whoever holds the cell; a photo keeps it.',
			next: 'Take a photo, look again in good light, and ask the supplier before it is built in.'
		})
	}),
	'inspection-unsure': verdict<{ unsure: readonly string[] }>()({
		means: 'Things somebody was not sure of.',
		urgencies: ['open'],
		mark: 'not sure',
		words: ({ facts: { unsure }, subject }) => ({
			title: `${subject.label}: not sure of ${list(unsure)}`,
			finding: 'Marked as not sure on inspection.',
			doubt: null,
			rule: 'Not sure is an answer, and stays open.',
			next: 'Take a photo, look again in daylight, or lay it beside a cell that is good.'
		})
	}),
	'not-inspected': verdict<{ unseen: number; total: number }>()({
		means: 'Cells of a delivery nobody has looked at, while others were.',
		urgencies: ['open'],
		words: ({ facts: { unseen, total }, members }) => ({
			title: `${unseen} of ${total} cells not looked at`,
			finding: 'The others were.',
			doubt: null,
			rule: 'Every cell is looked at before any are joined.',
			next: `Look at ${members[0]?.label ?? 'them'} next, or say that the rest are all good.`
		})
	}),
	'inspected-sound': verdict<{ cells: number }>()({
		means: 'All were looked at and are sound.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { cells } }) => ({
			title: 'Looked at, and sound',
			finding: `${countWords(cells, 'cell', 'cells')}: no leak, smell, swelling, dent or bad terminal was seen.`,
			doubt: 'What cannot be seen from outside is not said.',
			rule: 'By eye, hand and nose.',
			next: null
		})
	}),
	'cells-unlike': verdict<{
		what: 'batch' | 'terminalKind' | 'sleeveKind' | 'ventKind';
		kinds: readonly { kind: string; cells: number }[];
		/** Groups in which they already meet. */
		mixedGroups: number;
	}>()({
		means: 'Cells that are not made alike.',
		urgencies: ['look'],
		mark: 'unlike',
		words: ({ facts: { what, kinds, mixedGroups } }) => ({
			title: what === 'batch' ? 'The cells are of different batches' : `The cells have different ${UNLIKE[what]}`,
			finding: `${list(kinds.map((k) => `${k.cells} ${what === 'batch' ? 'of' : 'with'} ${k.kind}`))}.${
				mixedGroups
					? ` In ${mixedGroups === 1 ? 'one group' : `${mixedGroups} groups`} already they stand side by side.`
					: ''
			}`,
			doubt: null,
			rule: `Not in one group, and not in one series without a reason: ${WHY_UNLIKE[what]}.`,
			next:
				what === 'batch'
					? 'Match them with the batch wish “together”, or keep the few for another battery.'
					: 'Ask the supplier; keep the few together, or out of this battery.'
		})
	}),
	'terminals-not-promised': verdict<{ promised: string; found: readonly string[] }>()({
		means: 'Terminals other than the delivery was promised with.',
		urgencies: ['look'],
		remedy: { to: 'receive/report', text: 'The report to the supplier' },
		words: ({ facts: { promised, found } }) => ({
			title: 'The terminals are not the promised ones',
			finding: `Promised: ${promised}. Came: ${list(found)}.`,
			doubt: null,
			rule: 'As seen on inspection, against the promise of the delivery.',
			next: 'Tell the supplier before anything is screwed on: bars, screws and torques follow the terminals.'
		})
	})
};
