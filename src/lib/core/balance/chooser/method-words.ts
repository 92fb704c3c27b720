import type { ChosenMethod } from '../../picture';
import type { Hindrance } from './compare-methods';

/** What each school does, gives, costs and risks; said fairly of each. @param balanceV what the supply of one cell is set to, V */
export const methodWords = (
	balanceV: number
): Record<ChosenMethod, { does: string; gives: string; costs: string; risk: string }> => ({
	top: {
		does: `All cells in parallel on one supply at ${balanceV.toFixed(2)} V until hardly any current flows.`,
		gives: 'Every cell truly full, and proof of it: the sum that went in, and the tail.',
		costs: 'Days at a small supply; every link is made twice.',
		risk: 'A supply set wrong overcharges them all; a bar that slips across a row carries hundreds of amperes.'
	},
	fast: {
		does: 'The string is charged under its BMS to the first trip; then every series link comes off, and the rest goes in side by side.',
		gives: 'The same end as top in parallel, in a fraction of the hours.',
		costs: 'The string is built, taken apart and built again.',
		risk: 'One forgotten series link makes a short circuit in the parallel row: every link must be proved off.'
	},
	bottom: {
		does: 'Each cell is emptied alone in two stages, with rests, to one voltage.',
		gives: 'All empty together: no cell is driven below the others when a battery is run flat.',
		costs: 'Somebody beside every cell; the smallest fills first and ends each charge.',
		risk: 'An empty cell dies of standing: it is charged within days, or lost.'
	},
	balancer: {
		does: 'It is built as it is; BMS or balancer move charge near full, day by day.',
		gives: 'No handling of bare cells at all.',
		costs: 'Weeks at a tenth of an ampere; the battery is not whole until then.',
		risk: 'A balancer that starts too low undoes by night what it did by day; one that is too small never catches up.'
	},
	none: {
		does: 'They are built in as they came.',
		gives: 'Nothing to do.',
		costs: 'Charge that one cell has above the others is never used.',
		risk: 'The fullest trips every charge and the emptiest every discharge.'
	}
});

export const HINDRANCE_WORDS: Record<Hindrance, string> = {
	'no-cell-supply': 'no supply that can be set to one cell’s limit',
	'no-string-supply': 'no charger for the whole string',
	'no-bms': 'no BMS to stop it at the first full cell',
	'no-load': 'no load for single cells',
	'no-bars': 'no bars to join them side by side',
	'no-balancer': 'no balancer',
	'takes-too-long': 'it takes longer than there is time',
	'never-catches-up': 'at that current it never catches up',
	'other-end': 'does not suit how this bank is used',
	'nobody-there': 'one cell takes longer than somebody is there in a day',
	'stays-apart': 'the cells may be too far apart'
};
