import { GUESSED_WITHIN } from '../../foundation/parallel-charge';
import { OVER_LIMIT_METER_V } from './bounds';
import { shareWords, verdict } from '../../foundation/verdicts';
import type { Interval } from '../../foundation/statistics';

const mohm = (ohm: number) => `${(ohm * 1000).toFixed(2)} mΩ`;

export const CHARGE_VERDICTS = {
	'supply-dead': verdict<{ cellV: number | null; setV: number }>()({
		means: 'The supply gives nothing although the cells are below what it is set to.',
		urgencies: ['look'],
		words: ({ facts: { cellV, setV } }) => ({
			title: 'The supply gives nothing',
			finding: `${cellV === null ? 'The cells are not read' : `The cells stand at ${cellV.toFixed(3)} V`}; it is set to ${setV.toFixed(2)} V.`,
			doubt: null,
			rule: 'No amperes below the set voltage: off, a fuse, a lead that fell off, too hot, or its own protection.',
			next: 'Look at its display, its fuse and both clamps. Where it has a timer, set it anew.'
		})
	}),
	'supply-sags': verdict<{ supplyV: number; setV: number; supplyA: number; setA: number }>()({
		means: 'The supply holds neither its volts nor its amperes.',
		urgencies: ['look'],
		words: ({ facts: { supplyV, setV, supplyA, setA } }) => ({
			title: 'The supply gives neither its volts nor its amperes',
			finding: `${supplyV.toFixed(2)} V of ${setV.toFixed(2)} V, ${supplyA.toFixed(1)} A of ${setA.toFixed(1)} A.`,
			doubt: null,
			rule: 'A sound supply holds one of the two.',
			next: 'Lower the current, or cool the supply. It is too hot, too small, or its mains cable drops too much voltage.'
		})
	}),
	'supply-display': verdict<{ displayV: Interval; setV: number }>()({
		means: 'The supply shows other volts than it gives.',
		urgencies: ['look'],
		words: ({ facts: { displayV, setV } }) => {
			const tooMuch = displayV.likely > 0;
			return {
				title: tooMuch ? 'The supply gives less than it shows' : 'The supply gives more than it shows',
				finding: `Whatever flows, its display is ${Math.abs(displayV.likely * 1000).toFixed(0)} mV ${tooMuch ? 'above' : 'below'} what its leads leave at the cells (${Math.abs((tooMuch ? displayV.low95 : displayV.high95) * 1000).toFixed(0)} to ${Math.abs((tooMuch ? displayV.high95 : displayV.low95) * 1000).toFixed(0)} mV).`,
				doubt:
					'95 %: a display of hundredths, the meter, two looks a moment apart. Or the meter is wrong: a second one tells.',
				rule: 'What falls with the amperes are leads; what stays is the display.',
				next: tooMuch
					? `Change nothing until a second meter confirms it. Then raise the supply’s voltage slowly until your meter reads ${setV.toFixed(2)} V at the cells with almost no current. Never go higher.`
					: `Turn it down at once, until your meter at its own posts reads ${setV.toFixed(2)} V.`
			};
		}
	}),
	'row-over': verdict<{ readV: number; limitV: number }>()({
		means: 'The cells of the row stand above their limit.',
		urgencies: ['stop'],
		remedy: { to: 'balance/charge', text: 'Go to the charge' },
		words: ({ facts: { readV, limitV } }) => ({
			title: 'Switch off at the wall: these cells are above their limit',
			finding: `${readV.toFixed(3)} V at the cells; their limit is ${limitV.toFixed(2)} V.`,
			doubt: null,
			rule: `The cell maker’s charge limit, and ${OVER_LIMIT_METER_V * 1000} mV for the meter.`,
			next: `Keep away from the cells until every one reads below ${limitV.toFixed(2)} V; clear anything that burns. Set the supply by your meter before it is switched on again. Do not use a cell that swells or is hot.`
		})
	}),
	'arrival-by-charge': verdict<{ deliveredAh: number; totalAh: number; share: Interval }>()({
		means: 'What the row held when the charge began, by what went in.',
		urgencies: ['calm'],
		calm: 'note',
		words: ({ facts: { deliveredAh, totalAh, share } }) => ({
			title: `They arrived ${Math.round(share.low95 * 100)} to ${Math.round(share.high95 * 100)} % full`,
			finding: `${deliveredAh.toFixed(0)} Ah went into a row of ${totalAh.toFixed(0)} Ah.`,
			doubt: '95 %: the count, the capacities, and where the tail ended.',
			rule: 'What went in until it was full, less half a percent that is lost.',
			next: null
		})
	}),
	'arrival-too-much': verdict<{ deliveredAh: number; totalAh: number }>()({
		means: 'More is said to have gone in than the row can have lacked.',
		urgencies: ['look'],
		words: ({ facts: { deliveredAh, totalAh } }) => ({
			title: 'More went in than the row can hold',
			finding: `${deliveredAh.toFixed(0)} Ah are counted into a row of ${totalAh.toFixed(0)} Ah.`,
			doubt: null,
			rule: 'An empty row takes its own capacity and half a percent that is lost.',
			next: 'Amperes between two looks far apart are guessed by both: write down the supply’s own count, or take out what was typed wrong. What they arrived with cannot be told from this.'
		})
	}),
	'counter-unclear': verdict<{ lowAh: number; highAh: number; totalAh: number; counts: readonly number[] }>()({
		means: 'The supply’s count after a pause may be since then, or in all.',
		urgencies: ['open'],
		words: ({ facts: { lowAh, highAh, totalAh, counts } }) => ({
			title: 'Did the supply’s counter begin anew?',
			finding: `A count of ${counts.map((ah) => ah.toFixed(0)).join(', ')} Ah fits both: since the supply was switched on again, or in all. ${lowAh.toFixed(0)} to ${highAh.toFixed(0)} Ah have gone into a row of ${totalAh.toFixed(0)} Ah.`,
			doubt: null,
			rule: `Amperes × hours between two readings decide, within ${shareWords(GUESSED_WITHIN.share)}; where both fit, you are asked.`,
			next: 'Say at that reading in the log whether its counter began at 0 or went on.'
		})
	}),
	'row-cold': verdict<{ cells: number; coldestC: number; limitC: number }>()({
		means: 'Cells of a row below the temperature they may be charged at; members are those cells.',
		urgencies: ['stop'],
		remedy: { to: 'receive', text: 'Read the temperature again' },
		words: ({ facts: { cells, coldestC, limitC } }) => ({
			title: `${cells === 1 ? 'One cell is' : `${cells} cells are`} too cold to be charged`,
			finding: `The coldest is at ${coldestC.toFixed(0).replace('-', '−')} °C.`,
			doubt: null,
			rule: `Below ${limitC.toFixed(0).replace('-', '−')} °C a charge harms these cells for good (the cell maker’s limit first).`,
			next: 'Switch the supply off. Warm the cells, read their temperature again, then charge.'
		})
	}),
	'bar-high': verdict<{ side: 'plus' | 'minus'; from: number; to: number; ohm: Interval; usualOhm: number }>()({
		means: 'A bar, or its joints, that is worse than its like.',
		urgencies: ['look'],
		words: ({ facts: { side, from, to, ohm, usualOhm } }) => ({
			title: `Bar ${from} to ${to} on the ${side} side`,
			finding: `${mohm(ohm.low95)} to ${mohm(ohm.high95)}; the others are at ${mohm(usualOhm)}.`,
			doubt: '95 %: the meter, and what flows through each bar.',
			rule: 'Volts across it by the amperes through it, which follow from the row (Kirchhoff).',
			next: 'Supply off. Undo it, clean both faces, and torque it.'
		})
	}),
	'bars-alike': verdict<{ bars: number; usualOhm: number }>()({
		means: 'All bars alike.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { bars, usualOhm } }) => ({
			title: 'All bars alike',
			finding: `${bars} bars at about ${mohm(usualOhm)}.`,
			doubt: null,
			rule: 'None surely above two and a half times its like (default).',
			next: null
		})
	}),
	'bars-untold': verdict<{ read: number; told: number }>()({
		means: 'Too few bars carry enough to be told.',
		urgencies: ['open'],
		words: ({ facts: { read, told } }) => ({
			title: 'Too little flows to tell the bars',
			finding: `${told} of ${read} carry enough.`,
			doubt: null,
			rule: 'At least three bars with a twelfth of the current each.',
			next: 'Read more of them, near the leads, while the supply is at full current.'
		})
	})
};
