import { COMPARABLE_RUNS, REPEAT_AT_SHARE } from './bounds';
import { shareWords, verdict, rangeWords, type Said } from '../../foundation/verdicts';
import type { Interval } from '../../foundation/statistics';

interface Work {
	/** Read by a clamp; null: not read. */
	clampA: number | null;
	ratedA: number | null;
	/** What a night with it took from the highest group beyond a night without; null: not read. */
	movedAh: Interval | null;
	hours: number | null;
}

interface Gain {
	gainAh: Interval;
	gainWh: Interval;
	loadA: number;
	cutoffV: number;
}

interface Parting {
	apartAh: Interval;
	everyMonths: Interval;
	months: number;
	units: number;
}

const seen = ({ clampA, ratedA, movedAh, hours }: Work) =>
	clampA !== null
		? `Switched on, the clamp shows ${clampA.toFixed(2)} A more than off${ratedA ? `, of ${ratedA.toFixed(2)} A` : ''}.`
		: `In ${hours!.toFixed(0)} h with it the highest group lost ${rangeWords(movedAh!, 'Ah')} more than without.`;

const COMPARABLE_RULE = `The same load within ${shareWords(COMPARABLE_RUNS.load)} and the same end within ${COMPARABLE_RUNS.cutoffV} V (default); Ah and Wh both.`;
const WORK_RULE =
	'The difference of a clamp on a group’s lead between off and on, at least 0.4 of its own (default); or a night near full with it off, and one with it on.';

const work = (title: string, next: string | null) => {
	return ({ facts }: Said<Work>) => ({
		title,
		finding: seen(facts),
		doubt: facts.movedAh
			? '95 %: curve, hysteresis and meter; what both nights share falls out.'
			: 'The clamp must not have moved or been zeroed between the two.',
		rule: WORK_RULE,
		next
	});
};

const UNLIKE = { load: 'the load', cutoff: 'the volts it ended at', wh: 'Wh of both' };

const gain = (title: string) => {
	return ({ facts: { gainAh, gainWh, loadA, cutoffV } }: Said<Gain>) => ({
		title,
		finding: `${signed(gainAh, 'Ah')} and ${signed(gainWh, 'Wh')} against before, at ${Math.abs(loadA).toFixed(0)} A to ${cutoffV.toFixed(1)} V.`,
		doubt: '95 %: the counter between two tests, 0.4 % each. What both share falls out.',
		rule: COMPARABLE_RULE,
		next: null
	});
};

const signed = (gain: Interval, unit: string) => `${rangeWords(gain, unit)} more`;

const parting = (title: (p: Parting) => string, next: string | null) => {
	return ({ facts }: Said<Parting>) => ({
		title: title(facts),
		finding: `${facts.units} batteries are ${rangeWords(facts.apartAh, 'Ah')} apart after ${facts.months.toFixed(1)} months.`,
		doubt: 'If they part as fast as until now.',
		rule: `Made level again before they are ${shareWords(REPEAT_AT_SHARE)} of one apart (default).`,
		next
	});
};

const months = ({ low95, high95 }: Interval) =>
	Number.isFinite(high95) && high95 < 120
		? `${Math.max(1, Math.round(low95))} to ${Math.round(high95)} months`
		: low95 < 120
			? `${Math.max(1, Math.round(low95))} months or more`
			: 'ten years or more';

export const BALANCER_VERDICTS = {
	'balancer-unfit': verdict<{
		wrong: ('chemistry' | 'series' | 'cell-size')[];
		series: number;
		madeFor: string | null;
	}>()({
		means: 'A balancer that is not made for this battery.',
		urgencies: ['stop'],
		remedy: { to: 'balance/steps', text: 'Go to its steps' },
		words: ({ facts: { wrong, series, madeFor } }) => ({
			title: 'This balancer is not for this battery',
			finding: wrong
				.map(
					(w) =>
						({
							chemistry: `It is made for ${madeFor}.`,
							series: `It does not take ${series} in series.`,
							'cell-size': 'These cells are larger than it is made for.'
						})[w]
				)
				.join(' '),
			doubt: null,
			rule: 'Chemistry, count of groups and size of cell have to be those it is made for.',
			next: 'Do not plug it in. Its sheet says what it takes.'
		})
	}),
	'balancer-leads': verdict<{
		errorV: number;
		neighbourV: number;
		cellV: number;
		triggerV: number;
		balancerA: number;
	}>()({
		means: 'Its leads and the cells drop more than it starts at.',
		urgencies: ['look'],
		words: ({ facts: { errorV, neighbourV, cellV, triggerV, balancerA } }) => ({
			title: 'It stops itself too early',
			finding: `At ${balancerA.toFixed(1)} A its leads drop ${Math.round(errorV * 1000)} mV${cellV > 0 ? ` and the cell ${Math.round(cellV * 1000)} mV` : ''}; it starts at ${Math.round(triggerV * 1000)} mV. Meanwhile each neighbour is read ${Math.round(neighbourV * 1000)} mV high: a BMS on the same leads trips so much early.`,
			doubt: null,
			rule: 'Twice current times the resistance of one lead, and current times that of the cell (models §24).',
			next: 'Thicker, shorter and equal leads; or count on less than its current.'
		})
	}),
	'balancer-starts-low': verdict<{ downToV: number; kneeV: number }>()({
		means: 'It works where voltages say nothing of charge.',
		urgencies: ['look'],
		words: ({ facts: { downToV, kneeV } }) => ({
			title: 'It works where volts say nothing',
			finding: `It works down to ${downToV.toFixed(2)} V; charge shows above ${kneeV.toFixed(2)} V.`,
			doubt: null,
			rule: 'On the flat part it follows resistance and hysteresis, and undoes by night what it did near full.',
			next: `Set its start and its cut-off to ${kneeV.toFixed(2)} V or above.`
		})
	}),
	'balancer-works': verdict<Work>()({
		means: 'It was seen to work.',
		urgencies: ['calm', 'look'],
		calm: 'ok',
		words: work('The balancer works', null)
	}),
	'balancer-idle': verdict<Work>()({
		means: 'It was seen not to do what it should.',
		urgencies: ['calm', 'look'],
		calm: 'note',
		words: work(
			'The balancer does not do what it should',
			'Is it on, above its start voltage, beyond its trigger? A lead that carries nothing looks like this.'
		)
	}),
	'balancer-unproved': verdict<Work>()({
		means: 'What was read cannot tell whether it works.',
		urgencies: ['open'],
		words: work(
			'Cannot tell whether the balancer works',
			'A clamp on the lead of the highest group tells at once; or longer nights, nearer to full.'
		)
	}),
	'balancer-smoke': verdict<{ at: string }>()({
		means: 'It smelled, smoked or was hot.',
		urgencies: ['stop'],
		remedy: { to: 'balance/steps', text: 'Say when it is safe' },
		words: ({ facts: { at } }) => ({
			title: 'Stop: the balancer smoked or was hot',
			finding: `Written down ${at.slice(0, 16).replace('T', ' ')}.`,
			doubt: null,
			rule: 'A balancer hangs on the whole string through thin leads: it can burn on its own after the charge has ended.',
			next: 'Pull the balance plug first, then loads and charger off, battery disconnected; out of the room if you can carry it safely, air, and nobody breathes it. It stays out until it is known why.'
		})
	}),
	'balancer-not-read': verdict<{ kneeV: number }>()({
		means: 'Nothing was read near full yet.',
		urgencies: ['open'],
		words: ({ facts: { kneeV } }) => ({
			title: 'Not read near full yet',
			finding: 'How far the groups are apart is not known.',
			doubt: null,
			rule: `Volts tell charge above ${kneeV.toFixed(2)} V only.`,
			next: 'Charge until the first group is above that, and read all of them within a minute.'
		})
	}),
	'balancer-days': verdict<{ apartAh: Interval; days: Interval; aDayAh: number; growthAh: number }>()({
		means: 'Days until it has levelled them.',
		urgencies: ['calm'],
		calm: 'note',
		words: ({ facts: { apartAh, days, aDayAh, growthAh } }) => ({
			title: `By the balancer: ${rangeWords(days, 'days')}`,
			finding: `${rangeWords(apartAh, 'Ah')} apart; it moves ${aDayAh.toFixed(2)} Ah a day${growthAh > 0 ? `, and ${growthAh.toFixed(2)} Ah part them meanwhile` : ''}.`,
			doubt: '95 %: how far they are apart. Its hours a day near full are yours to know.',
			rule: 'Ah apart ÷ (its current × hours a day above its start voltage) (models §10).',
			next: null
		})
	}),
	'balancer-never': verdict<{ apartAh: Interval; aDayAh: number; growthAh: number }>()({
		means: 'It never catches up.',
		urgencies: ['look'],
		words: ({ facts: { apartAh, aDayAh, growthAh } }) => ({
			title: 'The balancer never catches up',
			finding: `${rangeWords(apartAh, 'Ah')} apart; it moves ${aDayAh.toFixed(2)} Ah a day and ${growthAh.toFixed(2)} Ah part them.`,
			doubt: null,
			rule: 'What it moves a day has to be more than what parts them.',
			next: 'Find what makes them drift apart: self-discharge, a standing load on some groups. Balance side by side, then let it hold them.'
		})
	}),
	'units-unread': verdict<{ read: number; of: number }>()({
		means: 'Ready-made batteries that are still to be read.',
		urgencies: ['open'],
		words: ({ facts: { read, of } }) => ({
			title: `${read} of ${of} batteries are read`,
			finding: 'Whether they may be joined is not known before.',
			doubt: null,
			rule: 'Each at its terminals, at rest, polarity by meter.',
			next: null
		})
	}),
	'units-charging': verdict<{ units: number; meanV: number | null }>()({
		means: 'Ready-made batteries side by side, being charged.',
		urgencies: ['calm'],
		calm: 'note',
		words: ({ facts: { units, meanV } }) => ({
			title: `${units} batteries side by side`,
			finding:
				meanV === null
					? 'They level themselves little on the flat part.'
					: `They were joined at about ${meanV.toFixed(2)} V.`,
			doubt: null,
			rule: 'On the flat part almost nothing flows between them: only a charge to the tail makes them level.',
			next: 'Charge the row to full, and to its tail.'
		})
	}),
	'gain-not-comparable': verdict<{ unlike: ('load' | 'cutoff' | 'wh')[]; beforeAh: number; afterAh: number }>()({
		means: 'Two tests that cannot be compared.',
		urgencies: ['open'],
		words: ({ facts: { unlike, beforeAh, afterAh } }) => ({
			title: 'Before and after cannot be compared',
			finding: `${beforeAh.toFixed(0)} Ah before, ${afterAh.toFixed(0)} Ah after; not alike or not written: ${unlike.map((u) => UNLIKE[u]).join(', ')}.`,
			doubt: null,
			rule: COMPARABLE_RULE,
			next: 'Run it once more as it was run before.'
		})
	}),
	'gain-made': verdict<Gain>()({
		means: 'What levelling them gave.',
		urgencies: ['calm', 'open'],
		calm: 'ok',
		words: gain('Levelling gave more')
	}),
	'gain-unproved': verdict<Gain>()({
		means: 'It may have given nothing.',
		urgencies: ['calm', 'open'],
		calm: 'note',
		words: gain('Cannot tell whether levelling gave anything')
	}),
	'units-apart': verdict<Parting>()({
		means: 'Batteries in series that have parted.',
		urgencies: ['calm', 'look'],
		calm: 'note',
		words: parting(() => 'They have parted: level them again', 'Side by side with a charge to the tail, as before.')
	}),
	'repeat-in': verdict<Parting>()({
		means: 'How often they want to be levelled.',
		urgencies: ['calm', 'look'],
		calm: 'note',
		words: parting(({ everyMonths }) => `Level them again every ${months(everyMonths)}`, null)
	}),
	'balancer-clamp-alone': verdict<{ clampA: number; ratedA: number }>()({
		means: 'A clamp read only while it should work: its zero is not known.',
		urgencies: ['open'],
		words: ({ facts: { clampA, ratedA } }) => ({
			title: 'One clamp reading does not prove the balancer',
			finding: `${clampA.toFixed(2)} A of ${ratedA.toFixed(2)} A; a clamp shows amperes of its own with nothing flowing.`,
			doubt: null,
			rule: WORK_RULE,
			next: 'Switch the balancer off and read the same clamp on the same lead: the difference counts.'
		})
	}),
	'unit-trips': verdict<{ unit: string; times: number; of: number; end: 'empty' | 'full' }>()({
		means: 'Which of them stopped it.',
		urgencies: ['calm', 'look'],
		calm: 'note',
		words: ({ facts: { unit, times, of, end } }) => ({
			title: `${unit} stops at ${end}`,
			finding: `${times} of ${of} times.`,
			doubt: of < 3 ? 'Few times: it may have been chance.' : null,
			rule: 'In series the one that is first at an end stops all.',
			next: end === 'full' ? 'It is fuller than the others, or smaller.' : 'It is emptier than the others, or smaller.'
		})
	})
};
