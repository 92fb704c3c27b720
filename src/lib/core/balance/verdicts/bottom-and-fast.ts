import { TAIL_C_RATE, TAIL_EACH_C_RATE } from '../../foundation/parallel-charge';
import { shareWords, verdict, rangeWords, type Said } from '../../foundation/verdicts';
import type { Interval } from '../../foundation/statistics';

interface Met {
	apartAh: Interval;
	/** Of one cell’s capacity: no further apart counts as met. */
	metShare: number;
	cells: number;
	/** The one that holds most and may be discharged once more; null or missing: none may. */
	fullest?: string | null;
}

const BOTTOM_RULE =
	'Two stages with a rest after each; what is left by the steep end of the curve after the last (models §10), as an interval.';

const met = (how: 'met' | 'apart' | 'unsure') => {
	const titles = {
		met: 'They met at the bottom',
		apart: 'They did not meet at the bottom',
		unsure: 'Cannot tell whether they met at the bottom'
	};
	const nexts = {
		met: 'Charge them now; watch every cell in the first hours.',
		apart: 'Charge them now and watch every cell; balance at the top where they must meet there.',
		unsure: 'Read them again after another night, with the meter that reads most finely; or charge, and watch them.'
	};
	return ({ facts: { apartAh, metShare, cells, fullest = null } }: Said<Met>) => ({
		title: titles[how],
		finding: `${cells} cells are ${rangeWords(apartAh, 'Ah')} apart.`,
		doubt: '95 %: the meter, the curve at its steep end, hysteresis.',
		rule: `${BOTTOM_RULE} Met: no two further apart than ${shareWords(metShare)} of one.`,
		next:
			how === 'apart' && fullest
				? `You may discharge ${fullest} once more, at low current. Never discharge again a cell that already reads low.`
				: nexts[how]
	});
};

export const BOTTOM_AND_FAST_VERDICTS = {
	'bottom-on-its-way': verdict<{ through: number; of: number; resting: number }>()({
		means: 'A bottom balance that is on its way.',
		urgencies: ['open'],
		words: ({ facts: { through, of, resting } }) => ({
			title: `${through} of ${of} are at the bottom`,
			finding: resting ? `${resting} ${resting === 1 ? 'rests' : 'rest'}.` : 'None rests now.',
			doubt: null,
			rule: 'Each cell in its turn: none is skipped, none is done twice, no rest is cut short.',
			next: null
		})
	}),
	'bottom-high': verdict<{ leftAh: Interval; atMost: number }>()({
		means: 'A cell that holds more than a cell at the bottom after its last rest.',
		urgencies: ['look'],
		remedy: { to: 'balance/steps', text: 'Go to its steps' },
		words: ({ subject, facts: { leftAh, atMost } }) => ({
			title: `${subject.label} holds more than the bottom`,
			finding: `${rangeWords(leftAh, 'Ah')} are left after its last rest.`,
			doubt: '95 %: the meter and the curve at its steep end.',
			rule: `${BOTTOM_RULE} At the bottom: no more than ${shareWords(atMost)} of its capacity.`,
			next: 'Leave it, or discharge it once more at low current: the app asks before that.'
		})
	}),
	'bottom-too-fast': verdict<{ currentA: number; askedA: number; rate: number }>()({
		means: 'A gentle stage that was run with far more current than it asks.',
		urgencies: ['look'],
		words: ({ subject, facts: { currentA, askedA, rate } }) => ({
			title: `${subject.label} was discharged too fast in its gentle stage`,
			finding: `${currentA.toFixed(1)} A, where at most ${askedA.toFixed(1)} A was asked: the load’s voltage drop ended the stage early, so the cell still holds charge.`,
			doubt: null,
			rule: `The second stage runs at no more than ${rate} C (default).`,
			next: 'What its last rest says counts. Use the lower current for the cells that follow.'
		})
	}),
	'bottom-odd-rebound': verdict<{ restedV: number; expectedV: Interval }>()({
		means: 'A cell that came back otherwise than such a cell does.',
		urgencies: ['look'],
		words: ({ subject, facts: { restedV, expectedV } }) => ({
			title: `${subject.label} came back oddly`,
			finding: `It rests at ${restedV.toFixed(3)} V; such a cell comes back to ${expectedV.low95.toFixed(3)} … ${expectedV.high95.toFixed(3)} V from where it was ended.`,
			doubt: '95 %: curve, resistance, hysteresis and surface charge of such cells.',
			rule: 'Drop of the load, surface and hysteresis come back in the rest (models §3).',
			next: 'Was the meter on its own terminals? A lead that dropped volts ends a stage too early; a cell whose voltage falls at rest self-discharges.'
		})
	}),
	'bottom-met': verdict<Met>()({
		means: 'All met at the bottom.',
		urgencies: ['calm', 'open', 'look'],
		calm: 'ok',
		words: met('met')
	}),
	'bottom-apart': verdict<Met>()({
		means: 'All are through, and they did not meet.',
		urgencies: ['calm', 'open', 'look'],
		calm: 'note',
		words: met('apart')
	}),
	'bottom-unsure': verdict<Met>()({
		means: 'All are through, and the readings cannot tell whether they met.',
		urgencies: ['calm', 'open', 'look'],
		calm: 'note',
		words: met('unsure')
	}),
	'empty-set': verdict<{ chargeBy: string; days: number }>()({
		means: 'A set that was emptied and is not yet being charged.',
		urgencies: ['look'],
		remedy: { to: 'balance/steps', text: 'Go to its steps' },
		words: ({ facts: { chargeBy, days } }) => ({
			title: `Charge the set by ${chargeBy.slice(0, 10)}`,
			finding: 'Cells at the bottom stand empty.',
			doubt: 'How fast these cells self-discharge is not known.',
			rule: `Within ${days} days of the first one (default): what is left is lost by self-discharge, and below its limit a cell is harmed for good.`,
			next: 'Build and charge it, or put some charge into each cell now.'
		})
	}),
	'first-charge-over': verdict<{ place: number; volts: number; limitV: number }>()({
		means: 'A cell past its limit in the first charge from the bottom.',
		urgencies: ['stop'],
		remedy: { to: 'balance/steps', text: 'Go to its steps' },
		words: ({ facts: { place, volts, limitV } }) => ({
			title: `Cell ${place} is at ${volts.toFixed(3)} V, above its limit`,
			finding: `Its limit is ${limitV.toFixed(2)} V.`,
			doubt: null,
			rule: 'In the first charge from the bottom no BMS has been proved yet: every cell is watched.',
			next: 'Charger off. It was fuller than the others: it was not at the bottom with them, or holds less than all.'
		})
	}),
	'first-charge-apart': verdict<Met>()({
		means: 'Cells apart in the first charge from the bottom.',
		urgencies: ['look'],
		words: ({ facts: { apartAh, metShare, cells } }) => ({
			title: 'They part in the first charge',
			finding: `${cells} cells are ${rangeWords(apartAh, 'Ah')} apart.`,
			doubt: '95 %: what a voltage under charge can say.',
			rule: `No further than ${shareWords(metShare)} of one from the bottom on; near the top they part by their capacities, and that is no fault.`,
			next: 'Stop while they are low, and read each again at rest.'
		})
	}),
	'fast-not-begun': verdict<{ groups: number }>()({
		means: 'A fast balance that is planned.',
		urgencies: ['open'],
		words: ({ facts: { groups } }) => ({
			title: 'Charge in series first, until the BMS stops',
			finding: `${groups} groups with their BMS and its leads.`,
			doubt: null,
			rule: 'The string’s charger fills all at once; the first full group ends it. Never without a BMS that trips.',
			next: 'Prove the BMS before: it must stop a charge by itself.'
		})
	}),
	'steps-not-full': verdict<{ voltageV: number | null; currentA: number | null; tailA: number }>()({
		means: 'It was called full, and was not at its tail.',
		urgencies: ['look'],
		words: ({ facts: { voltageV, currentA, tailA } }) => ({
			title: 'Not full: it was not at its tail',
			finding: `${voltageV === null ? 'No volts' : `${voltageV.toFixed(3)} V`} and ${currentA === null ? 'no amperes' : `${Math.abs(currentA).toFixed(1)} A`} at its end; full is at ${tailA.toFixed(1)} A or less, near the set voltage.`,
			doubt: null,
			rule: `The tail of a row: the larger of ${TAIL_C_RATE} C of one and ${TAIL_EACH_C_RATE} C for each (models §10).`,
			next: 'Charge on, and write its end down again.'
		})
	}),
	'bottom-too-deep': verdict<{ readV: number; limitV: number }>()({
		means: 'A cell below its limit.',
		urgencies: ['stop'],
		remedy: { to: 'balance/steps', text: 'Go to its steps' },
		words: ({ subject, facts: { readV, limitV } }) => ({
			title: `${subject.label} is below its limit`,
			finding: `It read ${readV.toFixed(3)} V; its limit is ${limitV.toFixed(2)} V.`,
			doubt: 'Exchanged probes, or a meter on the load’s end of a lead, read the same.',
			rule: 'A cell below its limit is being harmed, and one that is reversed is lost.',
			next: 'Load off. Read it on its own terminals; if it is true, charge it gently (0.05 C) where its maker allows that, with somebody beside it, and leave it out of the set.'
		})
	}),
	'fast-charging': verdict<{ groups: number; currentA: number }>()({
		means: 'A string being charged in series until its BMS stops it.',
		urgencies: ['calm'],
		calm: 'note',
		words: ({ facts: { groups, currentA } }) => ({
			title: 'Charging in series',
			finding: `${groups} groups at ${currentA.toFixed(0)} A.`,
			doubt: null,
			rule: 'It ends at the first full group. Until every link is proved off no cell is joined to another.',
			next: 'Stay near as it comes to its end; read every group when it stops.'
		})
	}),
	'fast-false-trip': verdict<{ topV: number; kneeV: number }>()({
		means: 'The BMS stopped below where any group is full.',
		urgencies: ['look'],
		remedy: { to: 'balance/steps', text: 'Go to its steps' },
		words: ({ facts: { topV, kneeV } }) => ({
			title: 'The BMS stopped before any was full',
			finding: `The highest group stood at ${topV.toFixed(3)} V: below ${kneeV.toFixed(2)} V none is full.`,
			doubt: null,
			rule: 'A trip is a full group only above the knee of its curve.',
			next: 'Look for why: a balance lead, a setting, cold, current. Then go on charging.'
		})
	}),
	'fast-tripped': verdict<{
		/** Position of the first full one, from the battery negative. */
		first: number;
		topV: number;
		apartAh: Interval;
		missingAh: Interval;
		hours: Interval;
		supplyA: number;
		/** Against all of it side by side; null: nobody wrote what went in. */
		savedH: number | null;
		cells: number;
	}>()({
		means: 'The first group is full; what the others lack; hours in parallel, and what series has saved.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { first, topV, apartAh, missingAh, hours, supplyA, savedH, cells } }) => ({
			title: `Group ${first} was full first`,
			finding: `It stood at ${topV.toFixed(3)} V; the groups are ${rangeWords(apartAh, 'Ah')} apart. Side by side the ${cells} cells still take ${rangeWords(missingAh, 'Ah')}: ${rangeWords(hours, 'h')} at ${supplyA.toFixed(0)} A.${savedH !== null && savedH > 0 ? ` Series has saved ${Math.round(savedH)} h.` : ''}`,
			doubt: '95 %: what voltages at the end of a charge can say; the last 2 % of all are added.',
			rule: 'Snapshot near full (models §9), and three hours of taper (default).',
			next: 'Links off, and proved off, before anything is joined.'
		})
	})
};
