import type { Words } from './verdict';

interface Links {
	/** Places of pairs, from 1: 2 is between the second and third. */
	linked: readonly number[];
	unclear: readonly number[];
	unread: readonly number[];
	pairs: number;
	balancePlugOut: boolean;
	/** It read a cell just before. */
	meterProved: boolean;
	/** Readings that are not nothing and not two cells. */
	ghosts: number;
}

export interface LinksFacts {
	/** A series link is still in: joined side by side it would be a short circuit. */
	'links-still-on': Links;
	/** Every pair reads as off, with the balance plug out. */
	'links-off': Links;
	/** Not every pair is read, or one reads as neither. */
	'links-unproved': Links;
}

const RULE =
	'Across each pair of neighbours, far minus to far plus, balance plug out: about 6.6 V means still linked, a ghost or zero means off. Across a gap both read 0 V and prove nothing.';
const places = (list: readonly number[]) => list.map((i) => `${i} and ${i + 1}`).join(', ');

export const LINKS_WORDS: Words<LinksFacts> = {
	'links-still-on': ({ facts: { linked } }) => ({
		title: `Stop: ${places(linked)} are still linked in series`,
		finding: 'Across them stand the volts of two cells.',
		doubt: null,
		rule: RULE,
		next: 'Take that link off, one hand, a cover over its neighbours, and read the pair again. Nothing is joined side by side before.'
	}),
	'links-off': ({ facts: { pairs, ghosts } }) => ({
		title: 'Every series link is off',
		finding: `All ${pairs} pairs read as nothing${ghosts ? `, ${ghosts} of them as a ghost` : ''}.`,
		doubt: 'As they were read: a link put back since shows only by reading again.',
		rule: RULE,
		next: 'Turn the cells, read each once more, and join them with the supply still off.'
	}),
	'links-unproved': ({ facts: { unread, unclear, balancePlugOut, meterProved } }) => ({
		title: 'Not proved: a series link may still be in',
		finding: [
			unread.length ? `Not read: ${places(unread)}.` : null,
			unclear.length ? `Neither nothing nor two cells: ${places(unclear)}.` : null,
			balancePlugOut ? null : 'The balance plug is in: through it they are joined.',
			meterProved ? null : 'The meter has not read a cell just before: one that is off shows nothing too.'
		]
			.filter(Boolean)
			.join(' '),
		doubt: null,
		rule: RULE,
		next: 'Pull the balance plug, hold the meter on one cell, and read every pair of neighbours.'
	})
};
