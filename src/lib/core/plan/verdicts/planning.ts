import { HARDLY_EVER, LIFT_KG } from './bounds';
import { shareWords, verdict } from '../../foundation/verdicts';
import { MONTH_NAMES } from '../../foundation/time';
import type { Interval } from '../../foundation/statistics';

const percent = (fraction: number) => `${(fraction * 100).toFixed(fraction < 0.0995 ? 1 : 0)} %`;

const ITEM_WORDS: Record<string, [string, string]> = {
	bar: ['bar', 'bars'],
	rowLink: ['link between rows', 'links between rows'],
	stud: ['stud', 'studs'],
	nut: ['nut', 'nuts'],
	ring: ['ring', 'rings'],
	jumper: ['jumper', 'jumpers'],
	thermistorPad: ['thermistor pad', 'thermistor pads'],
	insulationSheet: ['insulation sheet', 'insulation sheets'],
	endPlate: ['end plate', 'end plates'],
	mainTerminal: ['main terminal', 'main terminals']
};

/** A count of an item of hardware in words. */
export const hardwareWords = (item: string, count: number): string => {
	const [one, several] = ITEM_WORDS[item] ?? [item, item];
	return `${count} ${count === 1 ? one : several}`;
};

const yearDoubt = (isUsualSun: boolean) =>
	`95 % of years, ${isUsualSun ? 'and of places of that latitude: your own sun hours narrow it' : 'drawn with your sun hours'}; the list of loads is taken as true.`;

export const PLANNING_VERDICTS = {
	'plan-amps': verdict<{ classV: number; peakA: number; cableA: number }>()({
		means: 'At this voltage the loads ask for amperes that no sensible cable carries.',
		urgencies: ['look'],
		words: ({ facts: { classV, peakA, cableA } }) => ({
			title: `${peakA.toFixed(0)} A at ${classV} V`,
			finding: `The loads may draw ${peakA.toFixed(0)} A together; the thickest cable anybody bends and crimps carries ${cableA} A.`,
			doubt: 'Reckoned with everything of one hour running at once.',
			rule: `Amperes = watts ÷ nominal volts; 95 mm² carries ${cableA} A in free air (default).`,
			next: `Plan for ${classV === 12 ? '24' : '48'} V, or let the large things run one after the other.`
		})
	}),
	'plan-short-energy': verdict<{ wantedWh: number; usableWh: number }>()({
		means: 'A day without sun takes more than can be used.',
		urgencies: ['look'],
		words: ({ facts: { wantedWh, usableWh } }) => ({
			title: 'A day without sun takes more than the bank gives',
			finding: `A dark day takes ${(wantedWh / 1000).toFixed(1)} kWh, ${(usableWh / 1000).toFixed(1)} kWh can be used.`,
			doubt: null,
			rule: 'Usable = nominal × window of the strategy.',
			next: 'Add cells or take loads away.'
		})
	}),
	'plan-energy': verdict<{ darkWhPerDay: number; brightWhPerDay: number; daysAlone: number }>()({
		means: 'What the loads take, and for how many days without sun it lasts.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { darkWhPerDay, brightWhPerDay, daysAlone } }) => ({
			title: `${daysAlone.toFixed(1)} days without sun`,
			finding: `The loads take ${(Math.min(darkWhPerDay, brightWhPerDay) / 1000).toFixed(1)} to ${(Math.max(darkWhPerDay, brightWhPerDay) / 1000).toFixed(1)} kWh a day from the battery, by season.`,
			doubt: 'As good as the list of what runs and for how long.',
			rule: 'Usable energy ÷ the day that takes most.',
			next: null
		})
	}),
	'charger-too-high': verdict<{ name: string; toV: number; limitV: number }>()({
		means: 'A charger that goes above what the cells bear.',
		urgencies: ['stop'],
		remedy: { to: 'plan/buy', text: 'Choose another charger' },
		words: ({ facts: { name, toV, limitV } }) => ({
			title: `${name} charges beyond the cells`,
			finding: `It goes to ${toV.toFixed(1)} V; these cells in series bear ${limitV.toFixed(1)} V.`,
			doubt: null,
			rule: 'Charger ≤ cells × charge limit.',
			next: 'Do not connect it: it is of another class, or set for another battery.'
		})
	}),
	'charger-too-low': verdict<{ name: string; toV: number; packV: number }>()({
		means: 'A charger that does not reach what the strategy charges to.',
		urgencies: ['look'],
		words: ({ facts: { name, toV, packV } }) => ({
			title: `${name} does not fill the bank`,
			finding: `It ends at ${toV.toFixed(1)} V, the strategy charges to ${packV.toFixed(1)} V.`,
			doubt: 'On the plateau a charge that ends lower may still bring most of it.',
			rule: 'Charger ≥ cells × absorb.',
			next: 'Set it higher if it can be, or never let it be the only one.'
		})
	}),
	'charger-not-lithium': verdict<{ name: string }>()({
		means: 'A charger without a setting for lithium.',
		urgencies: ['look'],
		words: ({ facts: { name } }) => ({
			title: `${name} has no setting for lithium`,
			finding: 'Equalising and temperature compensation lift its voltage when nobody looks.',
			doubt: null,
			rule: 'Equalise off, temperature compensation off.',
			next: 'Use one that can be set, or prove with a meter where it ends, cold and after a month.'
		})
	}),
	'panels-too-high': verdict<{ name: string; panelV: number; mostV: number; coldestC: number; isBench: boolean }>()({
		means: 'Panels above what their controller bears on the coldest morning.',
		urgencies: ['stop'],
		remedy: { to: 'plan/buy', text: 'Choose another charger' },
		words: ({ facts: { name, panelV, mostV, coldestC, isBench } }) => ({
			title: isBench ? `${name} is set too high for the controller` : `${name}: the panels are too high in the frost`,
			finding: isBench
				? `It is to feed the controller at ${panelV.toFixed(0)} V; the controller bears ${mostV.toFixed(0)} V.`
				: `Open, at ${coldestC.toFixed(0)} °C, they stand at ${panelV.toFixed(0)} V; the controller bears ${mostV.toFixed(0)} V.`,
			doubt: isBench ? null : 'A gain of 0.3 % a K (default): the panel’s sheet comes first.',
			rule: 'Open-circuit voltage on the coldest morning < the controller’s maximum. A bench supply before it counts as its panel.',
			next: isBench ? 'Set the supply lower.' : 'Fewer panels in series, or a controller for more volts.'
		})
	}),
	'panels-too-low': verdict<{ name: string; panelV: number; wantedV: number; hottestC: number; isBench: boolean }>()({
		means: 'Panels below what their controller wants above the battery, in the heat.',
		urgencies: ['look'],
		words: ({ facts: { name, panelV, wantedV, hottestC, isBench } }) => ({
			title: isBench ? `${name} is too low for the controller to begin` : `${name}: the panels are too low in the heat`,
			finding: isBench
				? `It is to feed the controller at ${panelV.toFixed(0)} V; the controller wants ${wantedV.toFixed(0)} V.`
				: `Working, at ${hottestC.toFixed(0)} °C, they stand at ${panelV.toFixed(0)} V; the controller wants ${wantedV.toFixed(0)} V.`,
			doubt: isBench ? null : 'A loss of 0.4 % a K (default): the panel’s sheet comes first.',
			rule: 'Working voltage > the battery’s highest and the controller’s start margin. A bench supply before a controller counts as its panel.',
			next: isBench
				? 'A supply that can be set higher, or straight to the battery with its own limits.'
				: 'More panels in series.'
		})
	}),
	'alternator-direct': verdict<{ name: string }>()({
		means: 'An alternator without a converter.',
		urgencies: ['look'],
		words: ({ facts: { name } }) => ({
			title: `${name} without a converter`,
			finding:
				'A lithium battery can overload the alternator until the alternator burns out. If the BMS disconnects, the voltage surge can destroy the alternator.',
			doubt: null,
			rule: 'Alternator → converter → lithium; the starting battery stays where it is.',
			next: 'Put a converter between, sized below half of the alternator’s rating.'
		})
	}),
	'charge-cold': verdict<{ name: string; cRate: number; coldCRate: number; coldestC: number }>()({
		means: 'A rate the cells do not take in the cold.',
		urgencies: ['open'],
		words: ({ facts: { name, cRate, coldCRate, coldestC } }) => ({
			title: `${name} is fast for the cold`,
			finding: `${cRate.toFixed(2)} C, where ${coldCRate} C is the most below 5 °C; it gets down to ${coldestC.toFixed(0)} °C.`,
			doubt: 'The cell maker’s figure comes first where it is lower.',
			rule: 'Below 0 °C nothing, to 5 °C 0.1 C, to 15 °C 0.2 C (default).',
			next: 'Keep the box warm, or let the BMS or the charger hold it back.'
		})
	}),
	'first-charge': verdict<{ supply: string; days: number; bestSaving: string | null; savedDays: number }>()({
		means: 'Days of the parallel top balance with the supplies in hand, and what would save most.',
		urgencies: ['calm'],
		calm: 'note',
		words: ({ facts: { supply, days, bestSaving, savedDays } }) => ({
			title: `${days < 2 ? `${(days * 24).toFixed(0)} hours` : `${days.toFixed(1)} days`} of first charge with ${supply}`,
			finding: bestSaving
				? `${bestSaving} saves ${savedDays < 2 ? `${(savedDays * 24).toFixed(0)} hours` : `${savedDays.toFixed(1)} days`} of it.`
				: 'Nothing else in hand makes it shorter.',
			doubt: 'Cells at 30 % on arrival (default); what they really hold decides.',
			rule: 'Ah to full = cells × Ah × (1 − charge); then the taper.',
			next: null
		})
	}),
	'no-supply': verdict<{ unfit: readonly string[]; balanceV: number }>()({
		means: 'No supply in hand can charge one cell.',
		urgencies: ['look'],
		words: ({ facts: { unfit, balanceV } }) => ({
			title: 'Nothing in hand charges one cell',
			finding: unfit.length ? `${unfit.join(', ')}: cannot be set as low as one cell.` : 'No supply is written down.',
			doubt: null,
			rule: `A parallel balance needs a supply that can be set to ${balanceV.toFixed(2)} V.`,
			next: 'A bench supply of 10 A and more, or a balance by the BMS over weeks.'
		})
	}),
	'hardware-short': verdict<{
		missing: readonly { item: string; missing: number }[];
		missedAt: 'balance' | 'build';
		leadDays: number | null;
	}>()({
		means: 'The kit lacks hardware for the fixture or the build.',
		urgencies: ['look'],
		words: ({ facts: { missing, missedAt, leadDays } }) => ({
			title: `${missing.map((m) => hardwareWords(m.item, m.missing)).join(', ')} missing`,
			finding: `Missed at the ${missedAt === 'balance' ? 'balance, while all cells stand in parallel' : 'build'}.`,
			doubt: null,
			rule: 'Parallel: 2·(n − 1) bars; series: (S − 1)(2P − 1) + 2(P − 1).',
			next: `Order them${leadDays === null ? '' : `, ${leadDays} days before`}: a balance half joined waits for a bar.`
		})
	}),
	'hardware-there': verdict<{ bars: number }>()({
		means: 'The kit holds what fixture and build need.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { bars } }) => ({
			title: 'The kit holds what both need',
			finding: `${bars} bars at most at once.`,
			doubt: null,
			rule: 'Parallel: 2·(n − 1) bars; series: (S − 1)(2P − 1) + 2(P − 1).',
			next: null
		})
	}),
	'box-short': verdict<{ side: 'length' | 'width' | 'height'; shortMm: number; rows: number; columns: number }>()({
		means: 'No arrangement of the cells fits the box: the one that lacks least.',
		urgencies: ['look'],
		words: ({ facts: { side, shortMm, rows, columns } }) => ({
			title: `The box is ${shortMm.toFixed(0)} mm short`,
			finding: `The best way, ${rows} ${rows === 1 ? 'row' : 'rows'} of ${columns}, lacks ${shortMm.toFixed(0)} mm in ${side}.`,
			doubt: 'Cells bulge when charged, bars and lugs stand up: the figures of the box are its inside.',
			rule: 'Cells upright, insulation between, plates at both ends, room under the lid.',
			next: `A box with ${shortMm.toFixed(0)} mm more ${side}, thinner plates, or the BMS elsewhere. Cells never lie upside down.`
		})
	}),
	'box-fits': verdict<{ arrangements: number; rows: number; columns: number; leastLeftMm: number }>()({
		means: 'Arrangements that fit the box.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { arrangements, rows, columns, leastLeftMm } }) => ({
			title: 'It fits the box',
			finding: `${arrangements} ${arrangements === 1 ? 'way fits' : 'ways fit'}; the roomiest is ${rows} ${rows === 1 ? 'row' : 'rows'} of ${columns} with ${leastLeftMm.toFixed(0)} mm to spare.`,
			doubt: 'Cells bulge when charged: leave the maker’s allowance.',
			rule: 'Cells upright, insulation between, plates at both ends, room under the lid.',
			next: null
		})
	}),
	'lift-heavy': verdict<{ massKg: number; people: number; lots: number; slingHeightMm: number | null }>()({
		means: 'Heavier than these people lift.',
		urgencies: ['open'],
		words: ({ facts: { massKg, people, lots, slingHeightMm } }) => ({
			title: `${massKg.toFixed(0)} kg is not lifted by ${people === 1 ? 'one' : people}`,
			finding: `One person carries 23 kg, two 40 kg (default).${slingHeightMm === null ? '' : ` On a hoist the hook hangs ${slingHeightMm.toFixed(0)} mm above its handles.`}`,
			doubt: null,
			rule: `≤ ${LIFT_KG.one} kg one person, ≤ ${LIFT_KG.two} kg two, beyond that a hoist or built in place.`,
			next: `Build it where it stays, carried there in ${lots} lots, or bring a hoist.`
		})
	}),
	'year-dark': verdict<{
		share: Interval;
		darkestMonth: number;
		darkestShare: number;
		kwhMissing: number;
		isUsualSun: boolean;
	}>()({
		means: 'How often it is empty in a year.',
		urgencies: ['look'],
		words: ({ facts: { share, darkestMonth, darkestShare, kwhMissing, isUsualSun } }) => ({
			title: `Empty on ${percent(share.low95)} to ${percent(share.high95)} of the days`,
			finding: `In ${MONTH_NAMES[darkestMonth]} ${percent(darkestShare)} of the days end empty; ${kwhMissing.toFixed(0)} kWh a year are missing.`,
			doubt: yearDoubt(isUsualSun),
			rule: 'A day that ends at the cut-off counts.',
			next: 'More panels, steeper in winter; a generator; or less in the dark months.'
		})
	}),
	'year-holds': verdict<{ share: Interval; kwhMissing: number; isUsualSun: boolean }>()({
		means: 'Hardly a day ends empty.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { share, kwhMissing, isUsualSun } }) => ({
			title: `Hardly ever empty: ${percent(share.low95)} to ${percent(share.high95)} of the days`,
			finding: `${kwhMissing.toFixed(1)} kWh a year are missing.`,
			doubt: yearDoubt(isUsualSun),
			rule: `A day that ends at the cut-off counts; fewer than ${shareWords(HARDLY_EVER)} is hardly ever.`,
			next: null
		})
	}),
	'order-overdue': verdict<{ orderOn: string; leadDays: number; dueOn: string }>()({
		means: 'What was ordered should have come long since.',
		urgencies: ['look'],
		words: ({ facts: { orderOn, leadDays, dueOn } }) => ({
			title: `The cells should have come on ${dueOn}`,
			finding: `Ordered on ${orderOn}, with ${leadDays} days to come; it has not been received.`,
			doubt: null,
			rule: 'The day it was promised for, else the day of the order and its lead time by the plan.',
			next: 'Ask the seller; unpack the delivery here when it has come, or correct the day of the order.'
		})
	}),
	'calendar-order': verdict<{ inDays: number; step: string }>()({
		means: 'Steps from the order to the proved battery.',
		urgencies: ['open'],
		words: ({ facts: { inDays, step } }) => ({
			title: inDays <= 0 ? `Order ${step} today` : `Order ${step} within ${inDays.toFixed(0)} days`,
			finding: 'Later, the build waits for it.',
			doubt: null,
			rule: 'Latest day = end of the balance less its lead time.',
			next: null
		})
	})
};
