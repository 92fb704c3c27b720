import type { Interval } from '../statistics';
import { rangeWords } from './range-words';
import type { Words } from './verdict';

interface Light {
	readV: number;
	/** Since the light. */
	hours: number;
	missingAh: Interval;
}

export interface ChargeFacts {
	/** The supply gives nothing although the cells are below what it is set to. */
	'supply-dead': { cellV: number | null; setV: number };
	/** The supply holds neither its volts nor its amperes. */
	'supply-sags': { supplyV: number; setV: number; supplyA: number; setA: number };
	/** The supply shows other volts than it gives. */
	'supply-display': { displayV: Interval; setV: number };
	/** The cells of the row stand above their limit. */
	'row-over': { readV: number; limitV: number };
	/** It stopped by itself well below what it is set to. */
	'charger-stopped-early': { readV: number; setV: number };
	/** It has stopped by itself; what that proves is read after an hour and a day. */
	'light-waits': { lightAt: string; readV: number | null };
	/** The row was full when it stopped. */
	'light-full': Light;
	/** The row was not full when it stopped. */
	'light-short': Light;
	/** Long after its light the row reads more than the charger was set to. */
	'light-above': { readV: number; setV: number };
	/** Its light proves nothing yet. */
	'light-unsure': Light;
	/** What the row held when the charge began, by what went in. */
	'arrival-by-charge': { deliveredAh: number; totalAh: number; share: Interval };
	/** More is said to have gone in than the row can have lacked. */
	'arrival-too-much': { deliveredAh: number; totalAh: number };
	/** A cell that does not stand where a full one does after so long. */
	'settle-low': { readV: number; hours: number; expectedV: Interval; missingAh: Interval };
	/** A cell that stands higher than a full one can after so long. */
	'settle-high': { readV: number; hours: number; expectedV: Interval };
	/** Not all cells are read since the charge ended. */
	'settle-waits': { read: number; of: number };
	/** A row that is still joined stands where a full one does; of its cells that tells nothing. */
	'settle-row': { readV: number; hours: number; expectedV: Interval; cells: number };
	/** A row that is still joined stands lower than a full one. */
	'settle-row-low': { readV: number; hours: number; expectedV: Interval; cells: number };
	/** Read too late after the charge to tell how the cells settled. */
	'settle-late': { cells: number; days: number; mostDays: number };
	/** All settled where full cells do. */
	settled: { cells: number; hours: number; apartAh: Interval };
	/** Sets charged one after the other, held against each other by their tails. */
	'sets-compared': { sets: number; cells: number; apartAh: Interval; limitAh: number };
	/** The supply’s count after a pause may be since then, or in all. */
	'counter-unclear': { lowAh: number; highAh: number; totalAh: number; counts: readonly number[] };
	/** Cells of a row below the temperature they may be charged at; members are those cells. */
	'row-cold': { cells: number; coldestC: number; limitC: number };
	/** A bar, or its joints, that is worse than its like. */
	'bar-high': { side: 'plus' | 'minus'; from: number; to: number; ohm: Interval; usualOhm: number };
	/** All bars alike. */
	'bars-alike': { bars: number; usualOhm: number };
	/** Too few bars carry enough to be told. */
	'bars-untold': { read: number; told: number };
}

const span = (hours: number) =>
	hours < 36 ? `${hours.toFixed(hours < 3 ? 1 : 0)} h` : `${(hours / 24).toFixed(0)} days`;
const mohm = (ohm: number) => `${(ohm * 1000).toFixed(2)} mΩ`;
const LIGHT_RULE =
	'A light says that its charger stopped, not that the cells are full: the meter at the cells after an hour and after a day says what they hold (models §2).';
const light = (title: string, next: string | null): Words<{ 'light-full': Light }>['light-full'] => {
	return ({ facts: { readV, hours, missingAh } }) => ({
		title,
		finding: `${readV.toFixed(3)} V ${span(hours)} after its light: ${rangeWords(missingAh, 'Ah')} missing in the row.`,
		doubt: '95 %: the meter, hysteresis, the curve itself.',
		rule: LIGHT_RULE,
		next
	});
};

export const CHARGE_WORDS: Words<ChargeFacts> = {
	'supply-dead': ({ facts: { cellV, setV } }) => ({
		title: 'The supply gives nothing',
		finding: `${cellV === null ? 'The cells are not read' : `The cells stand at ${cellV.toFixed(3)} V`}; it is set to ${setV.toFixed(2)} V.`,
		doubt: null,
		rule: 'No amperes below the set voltage: off, a fuse, a lead that fell off, too hot, or its own protection.',
		next: 'Look at its display, its fuse and both clamps. Where it has a timer, set it anew.'
	}),
	'supply-sags': ({ facts: { supplyV, setV, supplyA, setA } }) => ({
		title: 'The supply gives neither its volts nor its amperes',
		finding: `${supplyV.toFixed(2)} V of ${setV.toFixed(2)} V, ${supplyA.toFixed(1)} A of ${setA.toFixed(1)} A.`,
		doubt: null,
		rule: 'A sound supply holds one of the two.',
		next: 'Lower the current, or cool the supply. It is too hot, too small, or its mains cable drops too much voltage.'
	}),
	'supply-display': ({ facts: { displayV, setV } }) => {
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
	},
	'row-over': ({ facts: { readV, limitV } }) => ({
		title: 'Switch off at the wall: these cells are above their limit',
		finding: `${readV.toFixed(3)} V at the cells; their limit is ${limitV.toFixed(2)} V.`,
		doubt: null,
		rule: 'The cell maker’s charge limit, and 10 mV for the meter.',
		next: `Keep away from the cells until every one reads below ${limitV.toFixed(2)} V; clear anything that burns. Set the supply by your meter before it is switched on again. Do not use a cell that swells or is hot.`
	}),
	'counter-unclear': ({ facts: { lowAh, highAh, totalAh, counts } }) => ({
		title: 'Did the supply’s counter begin anew?',
		finding: `A count of ${counts.map((ah) => ah.toFixed(0)).join(', ')} Ah fits both: since the supply was switched on again, or in all. ${lowAh.toFixed(0)} to ${highAh.toFixed(0)} Ah have gone into a row of ${totalAh.toFixed(0)} Ah.`,
		doubt: null,
		rule: 'Amperes × hours between two readings decide, within 20 %; where both fit, you are asked.',
		next: 'Say at that reading in the log whether its counter began at 0 or went on.'
	}),
	'row-cold': ({ facts: { cells, coldestC, limitC } }) => ({
		title: `${cells === 1 ? 'One cell is' : `${cells} cells are`} too cold to be charged`,
		finding: `The coldest is at ${coldestC.toFixed(0).replace('-', '−')} °C.`,
		doubt: null,
		rule: `Below ${limitC.toFixed(0).replace('-', '−')} °C a charge harms these cells for good (the cell maker’s limit first).`,
		next: 'Switch the supply off. Warm the cells, read their temperature again, then charge.'
	}),
	'charger-stopped-early': ({ facts: { readV, setV } }) => ({
		title: 'The charger stopped before its volts',
		finding: `The cells stood at ${readV.toFixed(3)} V of ${setV.toFixed(2)} V.`,
		doubt: null,
		rule: 'A charger with a timer stops when it runs out; one with long leads takes their drop for the cells.',
		next: 'Start it again, and read volts at the cells and at its own posts while it runs.'
	}),
	'light-waits': ({ facts: { readV } }) => ({
		title: 'Its light proves nothing yet',
		finding:
			readV === null
				? 'The cells were not read at the light.'
				: `The cells stood at ${readV.toFixed(3)} V at the light.`,
		doubt: null,
		rule: LIGHT_RULE,
		next: 'Leave it off. Read the cells after an hour, and again after a day.'
	}),
	'light-full': light('Full, by the volts after its light', null),
	'light-short': light(
		'Not full, whatever its light says',
		'Charge on, by a supply that shows its amperes where you can.'
	),
	'light-unsure': light(
		'Cannot tell whether its light meant full',
		'Read again after a day; or charge on until the amperes fall below the tail.'
	),
	'light-above': ({ facts: { readV, setV } }) => ({
		title: 'This is no rest voltage of these cells',
		finding: `${readV.toFixed(3)} V with the charger off; it was set to ${setV.toFixed(2)} V.`,
		doubt: null,
		rule: 'A cell at rest falls from what it was charged to.',
		next: 'Is the charger really off, the meter on one cell, the decimal point right? If all three are right, the charger was set too high: disconnect it and check the cells for heat and swelling.'
	}),
	'arrival-by-charge': ({ facts: { deliveredAh, totalAh, share } }) => ({
		title: `They arrived ${Math.round(share.low95 * 100)} to ${Math.round(share.high95 * 100)} % full`,
		finding: `${deliveredAh.toFixed(0)} Ah went into a row of ${totalAh.toFixed(0)} Ah.`,
		doubt: '95 %: the count, the capacities, and where the tail ended.',
		rule: 'What went in until it was full, less half a percent that is lost.',
		next: null
	}),
	'arrival-too-much': ({ facts: { deliveredAh, totalAh } }) => ({
		title: 'More went in than the row can hold',
		finding: `${deliveredAh.toFixed(0)} Ah are counted into a row of ${totalAh.toFixed(0)} Ah.`,
		doubt: null,
		rule: 'An empty row takes its own capacity and half a percent that is lost.',
		next: 'Amperes between two looks far apart are guessed by both: write down the supply’s own count, or take out what was typed wrong. What they arrived with cannot be told from this.'
	}),
	'settle-low': ({ subject, facts: { readV, hours, expectedV, missingAh } }) => ({
		title: `${subject.label} did not settle like a full cell`,
		finding: `${readV.toFixed(3)} V after ${span(hours)}; a full one stands at ${expectedV.low95.toFixed(3)} … ${expectedV.high95.toFixed(3)} V. ${rangeWords(missingAh, 'Ah')} are missing.`,
		doubt: '95 %: curve, hysteresis, surface charge, meter.',
		rule: 'Each loose, at least an hour after the charge.',
		next: 'Was it in the row, its bar tight? Charge it with the others again; if its voltage falls again, it self-discharges.'
	}),
	'settle-high': ({ subject, facts: { readV, hours, expectedV } }) => ({
		title: `${subject.label} stands higher than a full cell`,
		finding: `${readV.toFixed(3)} V after ${span(hours)}; a full one stands at ${expectedV.low95.toFixed(3)} … ${expectedV.high95.toFixed(3)} V.`,
		doubt: '95 %: curve, hysteresis, surface charge, meter.',
		rule: 'Each loose, at least an hour after the charge.',
		next: 'Read it again with another meter. If it is true the supply held more than it showed: check it before it charges anything.'
	}),
	'settle-waits': ({ facts: { read, of } }) => ({
		title: `${read} of ${of} read since the charge`,
		finding: 'Whether all of them settled is not known.',
		doubt: null,
		rule: 'Bars off; each read loose after an hour, and again after a day.',
		next: 'Read the others.'
	}),
	'settle-row': ({ facts: { readV, hours, expectedV, cells } }) => ({
		title: 'The row settled like full cells',
		finding: `${readV.toFixed(3)} V over all ${cells}, joined, after ${span(hours)}; full cells stand at ${expectedV.low95.toFixed(3)} … ${expectedV.high95.toFixed(3)} V.`,
		doubt: 'Joined cells hold each other up: one that self-discharges does not show.',
		rule: 'Where a full cell stands after so long, for the row as one.',
		next: 'Take the bars off and read each cell by itself after a day.'
	}),
	'settle-row-low': ({ facts: { readV, hours, expectedV, cells } }) => ({
		title: 'The row did not settle like full cells',
		finding: `${readV.toFixed(3)} V over all ${cells}, joined, after ${span(hours)}; full cells stand at ${expectedV.low95.toFixed(3)} … ${expectedV.high95.toFixed(3)} V.`,
		doubt:
			'95 %: curve, hysteresis, surface charge, meter. Which cell draws the others down does not show while they are joined.',
		rule: 'Where a full cell stands after so long, for the row as one.',
		next: 'Take the bars off, let them rest a day, and read each by itself: the one that falls is the cause.'
	}),
	'settle-late': ({ facts: { cells, days, mostDays } }) => ({
		title: 'Cannot tell how the cells settled',
		finding: `${cells} ${cells === 1 ? 'cell was' : 'cells were'} read ${days.toFixed(0)} days after the charge or later.`,
		doubt: `After more than ${mostDays} days what each has lost by itself weighs more than how full it was.`,
		rule: 'Cells are read an hour and a day after the charge, within two weeks at most.',
		next: 'Compare them as they stand (Is it balanced?), or charge them to their tail once more and read them within two weeks.'
	}),
	settled: ({ facts: { cells, hours, apartAh } }) => ({
		title: 'All settled like full cells',
		finding: `${cells} cells after ${span(hours)}: ${rangeWords(apartAh, 'Ah')} apart.`,
		doubt: '95 %: what volts at rest can say near full.',
		rule: 'Where a full cell stands after so long, and how far they are from each other.',
		next: hours < 20 ? 'Read them once more after a day: a cell that self-discharges shows then.' : null
	}),
	'sets-compared': ({ facts: { sets, cells, apartAh, limitAh } }) => ({
		title: apartAh.high95 <= limitAh ? 'The sets are equally full' : 'Cannot tell whether the sets are equally full',
		finding: `${sets} sets, ${cells} cells: ${rangeWords(apartAh, 'Ah')} a cell between them.`,
		doubt: '95 %: volts at each tail, with one meter; a meter changed in between is not in it.',
		rule: `Each held at the same volts to its own tail. Equal: no more than ${limitAh.toFixed(1)} Ah a cell.`,
		next:
			apartAh.high95 <= limitAh
				? null
				: 'Join one cell of each for a night at the tail voltage, or charge the sets once more with one supply and one meter.'
	}),
	'bar-high': ({ facts: { side, from, to, ohm, usualOhm } }) => ({
		title: `Bar ${from} to ${to} on the ${side} side`,
		finding: `${mohm(ohm.low95)} to ${mohm(ohm.high95)}; the others are at ${mohm(usualOhm)}.`,
		doubt: '95 %: the meter, and what flows through each bar.',
		rule: 'Volts across it by the amperes through it, which follow from the row (Kirchhoff).',
		next: 'Supply off. Undo it, clean both faces, and torque it.'
	}),
	'bars-alike': ({ facts: { bars, usualOhm } }) => ({
		title: 'All bars alike',
		finding: `${bars} bars at about ${mohm(usualOhm)}.`,
		doubt: null,
		rule: 'None surely above two and a half times its like (default).',
		next: null
	}),
	'bars-untold': ({ facts: { read, told } }) => ({
		title: 'Too little flows to tell the bars',
		finding: `${told} of ${read} carry enough.`,
		doubt: null,
		rule: 'At least three bars with a twelfth of the current each.',
		next: 'Read more of them, near the leads, while the supply is at full current.'
	})
};
