import { verdict } from '../../foundation/verdicts';
import type { Chemistry } from '../../foundation/chemistry';

/** Figures of the maker that decide limits. */
export type MakerFigure =
	'chargeLimitV' | 'dischargeLimitV' | 'chargeColdC' | 'dischargeColdC' | 'chargeCRate' | 'dischargeCRate';

const FIGURE_WORDS: Record<MakerFigure, string> = {
	chargeLimitV: 'charge limit',
	dischargeLimitV: 'discharge limit',
	chargeColdC: 'coldest charge',
	dischargeColdC: 'coldest discharge',
	chargeCRate: 'charge rate',
	dischargeCRate: 'discharge rate'
};

export const LAYOUT_VERDICTS = {
	'chemistry-mismatch': verdict<{ bank: Chemistry; cells: Chemistry }>()({
		means: 'Bank and cell type are of different chemistries.',
		urgencies: ['stop'],
		remedy: { to: 'plan', text: 'Go to the cell’s figures' },
		words: ({ facts: { bank, cells } }) => ({
			title: `The bank is ${bank}, its cells are ${cells}`,
			finding: `A ${cells} cell charged to ${bank} limits can burn.`,
			doubt: null,
			rule: 'One chemistry a bank.',
			next: 'Correct whichever is wrong before anything is charged.'
		})
	}),
	'defaults-used': verdict<{ missing: readonly MakerFigure[] }>()({
		means: 'Figures of the data sheet that were not copied: defaults stand in.',
		urgencies: ['open'],
		words: ({ facts: { missing } }) => ({
			title: `${missing.length} of the maker’s figures are missing`,
			finding: `Defaults stand in for: ${missing.map((k) => FIGURE_WORDS[k]).join(', ')}.`,
			doubt: 'Typical values of the chemistry, not of your cell.',
			rule: 'The maker’s own figures come first.',
			next: 'Copy them from the data sheet.'
		})
	}),
	'touch-voltage': verdict<{ fullV: number; limitV: number }>()({
		means: 'The full battery stands above the voltage that is safe to touch.',
		urgencies: ['look'],
		words: ({ facts: { fullV, limitV } }) => ({
			title: `Full, this battery stands at ${fullV.toFixed(1)} V`,
			finding: `Above ${limitV} V DC a touch can kill.`,
			doubt: null,
			rule: 'Cells in series × charge limit.',
			next: 'Work to your local code, insulated, and have licensed help.'
		})
	}),
	'plan-complete': verdict<{ cells: number; cellType: string; fullV: number }>()({
		means: 'Cell type chosen, chemistry agrees, figures given.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { cells, cellType, fullV } }) => ({
			title: 'The plan is complete',
			finding: `${cells} cells of ${cellType}; full at ${fullV.toFixed(1)} V.`,
			doubt: null,
			rule: 'Cell type chosen, chemistry agrees, figures given.',
			next: null
		})
	}),
	'series-limit': verdict<{ batteries: number; mostInSeries: number | null }>()({
		means: 'Batteries in series beyond what the maker of a ready-made one allows.',
		urgencies: ['look', 'stop'],
		remedy: { to: 'plan', text: 'Go to the layout' },
		words: ({ facts: { batteries, mostInSeries } }) => ({
			title:
				mostInSeries === null
					? `${batteries} ready-made batteries in series, and nobody says whether they may`
					: `${batteries} in series, where the maker allows ${mostInSeries}`,
			finding: 'When one BMS opens alone it must block the voltage of the whole string.',
			doubt: mostInSeries === null ? 'The maker’s figure was not entered.' : null,
			rule: 'The maker’s series limit comes first.',
			next:
				mostInSeries === null
					? 'Look for “most in series” in the maker’s sheet and enter it.'
					: 'Do not connect them in series.'
		})
	}),
	'unlike-voltages': verdict<{ nominalV: readonly (number | null)[] }>()({
		means: 'Batteries side by side that do not have the same voltage.',
		urgencies: ['stop'],
		remedy: { to: 'plan', text: 'Go to the layout' },
		words: ({ facts: { nominalV } }) => ({
			title: 'These batteries do not have the same voltage',
			finding: `Side by side stand ${nominalV.map((v) => (v === null ? 'one of unknown voltage' : `${v.toFixed(1)} V`)).join(', ')}.`,
			doubt: null,
			rule: 'Batteries in parallel share one voltage: unlike ones drive current into each other without end.',
			next: 'Correct the layout before anything is joined.'
		})
	})
};
