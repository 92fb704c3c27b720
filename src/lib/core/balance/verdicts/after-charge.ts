import { verdict, rangeWords, type Said } from '../../foundation/verdicts';
import type { Interval } from '../../foundation/statistics';

interface Light {
	readV: number;
	/** Since the light. */
	hours: number;
	missingAh: Interval;
}

const span = (hours: number) =>
	hours < 36 ? `${hours.toFixed(hours < 3 ? 1 : 0)} h` : `${(hours / 24).toFixed(0)} days`;

const LIGHT_RULE =
	'A light says that its charger stopped, not that the cells are full: the meter at the cells after an hour and after a day says what they hold (models §2).';

const light = (title: string, next: string | null) => {
	return ({ facts: { readV, hours, missingAh } }: Said<Light>) => ({
		title,
		finding: `${readV.toFixed(3)} V ${span(hours)} after its light: ${rangeWords(missingAh, 'Ah')} missing in the row.`,
		doubt: '95 %: the meter, hysteresis, the curve itself.',
		rule: LIGHT_RULE,
		next
	});
};

export const AFTER_CHARGE_VERDICTS = {
	'charger-stopped-early': verdict<{ readV: number; setV: number }>()({
		means: 'It stopped by itself well below what it is set to.',
		urgencies: ['look'],
		words: ({ facts: { readV, setV } }) => ({
			title: 'The charger stopped before its volts',
			finding: `The cells stood at ${readV.toFixed(3)} V of ${setV.toFixed(2)} V.`,
			doubt: null,
			rule: 'A charger with a timer stops when it runs out; one with long leads takes their drop for the cells.',
			next: 'Start it again, and read volts at the cells and at its own posts while it runs.'
		})
	}),
	'light-waits': verdict<{ lightAt: string; readV: number | null }>()({
		means: 'It has stopped by itself; what that proves is read after an hour and a day.',
		urgencies: ['open'],
		words: ({ facts: { readV } }) => ({
			title: 'Its light proves nothing yet',
			finding:
				readV === null
					? 'The cells were not read at the light.'
					: `The cells stood at ${readV.toFixed(3)} V at the light.`,
			doubt: null,
			rule: LIGHT_RULE,
			next: 'Leave it off. Read the cells after an hour, and again after a day.'
		})
	}),
	'light-full': verdict<Light>()({
		means: 'The row was full when it stopped.',
		urgencies: ['calm'],
		calm: 'ok',
		words: light('Full, by the volts after its light', null)
	}),
	'light-short': verdict<Light>()({
		means: 'The row was not full when it stopped.',
		urgencies: ['look'],
		words: light('Not full, whatever its light says', 'Charge on, by a supply that shows its amperes where you can.')
	}),
	'light-above': verdict<{ readV: number; setV: number }>()({
		means: 'Long after its light the row reads more than the charger was set to.',
		urgencies: ['look'],
		words: ({ facts: { readV, setV } }) => ({
			title: 'This is no rest voltage of these cells',
			finding: `${readV.toFixed(3)} V with the charger off; it was set to ${setV.toFixed(2)} V.`,
			doubt: null,
			rule: 'A cell at rest falls from what it was charged to.',
			next: 'Is the charger really off, the meter on one cell, the decimal point right? If all three are right, the charger was set too high: disconnect it and check the cells for heat and swelling.'
		})
	}),
	'light-unsure': verdict<Light>()({
		means: 'Its light proves nothing yet.',
		urgencies: ['open'],
		words: light(
			'Cannot tell whether its light meant full',
			'Read again after a day; or charge on until the amperes fall below the tail.'
		)
	}),
	'settle-low': verdict<{ readV: number; hours: number; expectedV: Interval; missingAh: Interval }>()({
		means: 'A cell that does not stand where a full one does after so long.',
		urgencies: ['look'],
		words: ({ subject, facts: { readV, hours, expectedV, missingAh } }) => ({
			title: `${subject.label} did not settle like a full cell`,
			finding: `${readV.toFixed(3)} V after ${span(hours)}; a full one stands at ${expectedV.low95.toFixed(3)} … ${expectedV.high95.toFixed(3)} V. ${rangeWords(missingAh, 'Ah')} are missing.`,
			doubt: '95 %: curve, hysteresis, surface charge, meter.',
			rule: 'Each loose, at least an hour after the charge.',
			next: 'Was it in the row, its bar tight? Charge it with the others again; if its voltage falls again, it self-discharges.'
		})
	}),
	'settle-high': verdict<{ readV: number; hours: number; expectedV: Interval }>()({
		means: 'A cell that stands higher than a full one can after so long.',
		urgencies: ['look'],
		words: ({ subject, facts: { readV, hours, expectedV } }) => ({
			title: `${subject.label} stands higher than a full cell`,
			finding: `${readV.toFixed(3)} V after ${span(hours)}; a full one stands at ${expectedV.low95.toFixed(3)} … ${expectedV.high95.toFixed(3)} V.`,
			doubt: '95 %: curve, hysteresis, surface charge, meter.',
			rule: 'Each loose, at least an hour after the charge.',
			next: 'Read it again with another meter. If it is true the supply held more than it showed: check it before it charges anything.'
		})
	}),
	'settle-waits': verdict<{ read: number; of: number }>()({
		means: 'Not all cells are read since the charge ended.',
		urgencies: ['open'],
		words: ({ facts: { read, of } }) => ({
			title: `${read} of ${of} read since the charge`,
			finding: 'Whether all of them settled is not known.',
			doubt: null,
			rule: 'Bars off; each read loose after an hour, and again after a day.',
			next: 'Read the others.'
		})
	}),
	'settle-row': verdict<{ readV: number; hours: number; expectedV: Interval; cells: number }>()({
		means: 'A row that is still joined stands where a full one does; of its cells that tells nothing.',
		urgencies: ['open'],
		words: ({ facts: { readV, hours, expectedV, cells } }) => ({
			title: 'The row settled like full cells',
			finding: `${readV.toFixed(3)} V over all ${cells}, joined, after ${span(hours)}; full cells stand at ${expectedV.low95.toFixed(3)} … ${expectedV.high95.toFixed(3)} V.`,
			doubt: 'Joined cells hold each other up: one that self-discharges does not show.',
			rule: 'Where a full cell stands after so long, for the row as one.',
			next: 'Take the bars off and read each cell by itself after a day.'
		})
	}),
	'settle-row-low': verdict<{ readV: number; hours: number; expectedV: Interval; cells: number }>()({
		means: 'A row that is still joined stands lower than a full one.',
		urgencies: ['look'],
		words: ({ facts: { readV, hours, expectedV, cells } }) => ({
			title: 'The row did not settle like full cells',
			finding: `${readV.toFixed(3)} V over all ${cells}, joined, after ${span(hours)}; full cells stand at ${expectedV.low95.toFixed(3)} … ${expectedV.high95.toFixed(3)} V.`,
			doubt:
				'95 %: curve, hysteresis, surface charge, meter. Which cell draws the others down does not show while they are joined.',
			rule: 'Where a full cell stands after so long, for the row as one.',
			next: 'Take the bars off, let them rest a day, and read each by itself: the one that falls is the cause.'
		})
	}),
	'settle-late': verdict<{ cells: number; days: number; mostDays: number }>()({
		means: 'Read too late after the charge to tell how the cells settled.',
		urgencies: ['calm'],
		calm: 'note',
		words: ({ facts: { cells, days, mostDays } }) => ({
			title: 'Cannot tell how the cells settled',
			finding: `${cells} ${cells === 1 ? 'cell was' : 'cells were'} read ${days.toFixed(0)} days after the charge or later.`,
			doubt: `After more than ${mostDays} days what each has lost by itself weighs more than how full it was.`,
			rule: 'Cells are read an hour and a day after the charge, within two weeks at most.',
			next: 'Compare them as they stand (Is it balanced?), or charge them to their tail once more and read them within two weeks.'
		})
	}),
	settled: verdict<{ cells: number; hours: number; apartAh: Interval }>()({
		means: 'All settled where full cells do.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { cells, hours, apartAh } }) => ({
			title: 'All settled like full cells',
			finding: `${cells} cells after ${span(hours)}: ${rangeWords(apartAh, 'Ah')} apart.`,
			doubt: '95 %: what volts at rest can say near full.',
			rule: 'Where a full cell stands after so long, and how far they are from each other.',
			next: hours < 20 ? 'Read them once more after a day: a cell that self-discharges shows then.' : null
		})
	}),
	'sets-compared': verdict<{ sets: number; cells: number; apartAh: Interval; limitAh: number }>()({
		means: 'Sets charged one after the other, held against each other by their tails.',
		urgencies: ['calm', 'open'],
		calm: 'note',
		words: ({ facts: { sets, cells, apartAh, limitAh } }) => ({
			title: apartAh.high95 <= limitAh ? 'The sets are equally full' : 'Cannot tell whether the sets are equally full',
			finding: `${sets} sets, ${cells} cells: ${rangeWords(apartAh, 'Ah')} a cell between them.`,
			doubt: '95 %: volts at each tail, with one meter; a meter changed in between is not in it.',
			rule: `Each held at the same volts to its own tail. Equal: no more than ${limitAh.toFixed(1)} Ah a cell.`,
			next:
				apartAh.high95 <= limitAh
					? null
					: 'Join one cell of each for a night at the tail voltage, or charge the sets once more with one supply and one meter.'
		})
	})
};
