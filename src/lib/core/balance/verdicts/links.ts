import { verdict } from '../../foundation/verdicts';

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
	/** What two cells of this chemistry in series usually read, V. */
	twoCellsV: number;
}

const rule = (twoCellsV: number) =>
	`Balance plug out. Measure from the far negative of one cell to the far positive of its neighbour. About ${twoCellsV.toFixed(1)} V, two cells: still linked. 0 V or a small drifting reading: off. Measuring across the gap proves nothing.`;

const places = (list: readonly number[]) => list.map((i) => `${i} and ${i + 1}`).join(', ');

export const LINKS_VERDICTS = {
	'links-still-on': verdict<Links>()({
		means: 'A series link is still in: joined side by side it would be a short circuit.',
		urgencies: ['stop'],
		remedy: { to: 'balance/steps', text: 'Write down the readings' },
		words: ({ facts: { linked, twoCellsV } }) => ({
			title: `${linked.length === 1 ? 'One pair is' : `${linked.length} pairs are`} still linked in series`,
			finding: `The voltage of two cells across ${places(linked)}.`,
			doubt: null,
			rule: rule(twoCellsV),
			next: 'Cover the neighbouring terminals. Remove the link with one hand and an insulated tool, then read the pair again. Connect nothing in parallel before.'
		})
	}),
	'links-off': verdict<Links>()({
		means: 'Every pair reads as off, with the balance plug out.',
		urgencies: ['calm', 'open'],
		calm: 'ok',
		words: ({ facts: { pairs, ghosts, twoCellsV } }) => ({
			title: 'Every series link is off',
			finding: `All ${pairs} pairs read as nothing${ghosts ? `, ${ghosts} of them as a ghost` : ''}.`,
			doubt: 'As they were read: a link put back since shows only by reading again.',
			rule: rule(twoCellsV),
			next: 'Turn the cells, read each once more, and join them with the supply still off.'
		})
	}),
	'links-unproved': verdict<Links>()({
		means: 'Not every pair is read, or one reads as neither.',
		urgencies: ['calm', 'open'],
		calm: 'note',
		remedy: { to: 'balance/steps', text: 'Write down the readings' },
		words: ({ facts: { unread, unclear, balancePlugOut, meterProved, twoCellsV } }) => ({
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
			rule: rule(twoCellsV),
			next: 'Pull the balance plug, hold the meter on one cell, and read every pair of neighbours.'
		})
	})
};
