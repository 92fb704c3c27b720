import {
	BELIEVABLE,
	CONTRADICT,
	DECISION_PROBABILITY,
	LARGEST_CORRECTION,
	LIKE_CELLS_SD,
	APART_SDS,
	ODD_SDS,
	TESTER_GAIN_SD
} from './bounds';
import { shareWords, verdict, type Measured, type Said, type Sentences } from '../../foundation/verdicts';

interface CapacityFacts {
	capacityAh: Measured;
	ratedAh: number;
	/** P(true capacity < rated). */
	/** Cells of earlier lots of the type that its tester was set against; null: none. */
	lotCells: number | null;
	probabilityShort: number;
	/** A shortfall is called beyond this probability. */
	decidedBeyond: number;
	/** Between the testers it was run on, Ah; null with one. */
	testersApartAh: number | null;
	/** What brought its latest run to the temperature and rate of the protocol, as a fraction; and the temperature of that run. Null: not known. */
	correctedBy: number | null;
	temperatureC: number | null;
	/** Of the protocol, °C: what it is brought to. */
	standardC: number;
	/** The promise it is held against; null: its rating. */
	clause: 'minimum' | 'nominal' | 'typical' | null;
	/** That a run on another tester decides it, as it looks now; null where it is decided. */
	chanceOfDeciding: number | null;
}

function showProbability(p: number): string {
	if (p > 0.999) return 'over 99.9 %';
	return p < 0.001 ? 'under 0.1 %' : `${(p * 100).toFixed(p > 0.1 && p < 0.9 ? 0 : 1)} %`;
}

function deciding({ capacityAh, ratedAh, testersApartAh, temperatureC, chanceOfDeciding }: CapacityFacts): string {
	if (testersApartAh !== null && testersApartAh > Math.abs(capacityAh.value - ratedAh))
		return `Your testers disagree by ${testersApartAh.toFixed(1)} Ah, more than the difference from rated: compare them on more cells, or against a better one.`;
	if (temperatureC === null) return 'Enter the temperature it was run at: that alone may decide.';
	const wantedSd = Math.abs(capacityAh.value - ratedAh) / 1.645;
	const chance =
		chanceOfDeciding === null
			? ''
			: ` One on another tester decides with a chance of ${(100 * chanceOfDeciding).toFixed(0)} %.`;
	return wantedSd < capacityAh.sd / 2
		? `The difference is far inside this tester’s doubt.${chance}`
		: `A second run would decide with a doubt below ${wantedSd.toFixed(1)} Ah.${chance}`;
}

/** How a reading was brought to standard conditions, where that moved it. */
function corrected({ correctedBy, temperatureC, standardC }: CapacityFacts): string {
	if (correctedBy === null || Math.abs(correctedBy) < 0.0005) return '';
	const by = `${correctedBy > 0 ? '+' : '−'}${Math.abs(correctedBy * 100).toFixed(1)} %`;
	return ` Corrected by ${by} to ${standardC.toFixed(0)} °C and the standard rate${temperatureC === null ? '' : `, from ${temperatureC.toFixed(0)} °C`}.`;
}

/** The figures every capacity verdict shows alike. */
function against(facts: CapacityFacts) {
	const { capacityAh, ratedAh, probabilityShort, decidedBeyond, clause } = facts;
	const difference = capacityAh.value - ratedAh;
	return {
		finding: `${capacityAh.value.toFixed(1)} ± ${capacityAh.sd.toFixed(1)} Ah against ${ratedAh} ${clause ? `Ah, the ${clause} that was promised` : 'rated'}: ${Math.abs(difference).toFixed(1)} Ah ${difference < 0 ? 'under' : 'over'}.${corrected(facts)}`,
		doubt: `Probability that the true capacity is below ${clause ? `the ${clause}` : 'rated'}: ${showProbability(probabilityShort)}.${facts.lotCells ? ` ${facts.lotCells} cells of earlier lots, run on other testers, are taken into it.` : ''}`,
		rule: `Short above ${shareWords(decidedBeyond)}, meets below ${Math.round((1 - decidedBeyond) * 100)} %, otherwise unsure.`
	};
}

const percentOf = (share: number) => (100 * share).toFixed(0);

/** What a tester was called; runs without a name count as one. */
const testerName = (name: string | null) => (name === null ? 'The tester nobody named' : `“${name}”`);

const capacity =
	(title: (label: string) => string, next: (facts: CapacityFacts) => string | null) =>
	({ facts, subject }: Said<CapacityFacts>): Sentences => ({
		title: title(subject.label),
		...against(facts),
		next: next(facts)
	});

export const CAPACITY_VERDICTS = {
	'capacity-short': verdict<CapacityFacts>()({
		means: 'The true capacity is below rated beyond the deciding probability.',
		urgencies: ['calm', 'open', 'look'],
		calm: 'note',
		follows: ['probabilityShort', 'chanceOfDeciding', 'correctedBy'],
		remedy: { to: 'receive/report', text: 'The report to the supplier' },
		words: capacity(
			(label) => `${label} is below its rated capacity`,
			() => 'Write to the supplier with these figures, and match it with care.'
		)
	}),
	'capacity-meets': verdict<CapacityFacts>()({
		means: 'The true capacity is not below rated beyond the deciding probability.',
		urgencies: ['calm', 'open', 'look'],
		calm: 'ok',
		follows: ['probabilityShort', 'chanceOfDeciding', 'correctedBy'],
		words: capacity(
			(label) => `${label} meets its rating`,
			() => null
		)
	}),
	'capacity-unsure': verdict<CapacityFacts>()({
		means: 'Neither: what would decide is said.',
		urgencies: ['calm', 'open', 'look'],
		calm: 'note',
		follows: ['probabilityShort', 'chanceOfDeciding', 'correctedBy'],
		words: capacity((label) => `${label}: cannot tell yet`, deciding)
	}),
	'capacity-undecided': verdict<{ lowestAh: Measured; ratedAh: number; cells: number; withoutTemperature: number }>()({
		means: 'Several cells near their rating that nothing speaks against; the lowest of them.',
		urgencies: ['open'],
		words: ({ facts: { lowestAh, ratedAh, cells, withoutTemperature } }) => ({
			title: `${cells} cells: nothing against them`,
			finding: `Each within its doubt of ${ratedAh} Ah rated; the lowest has ${lowestAh.value.toFixed(1)} ± ${lowestAh.sd.toFixed(1)} Ah. Good to build with.`,
			doubt: 'Whether one is a little below its rating these runs cannot tell.',
			rule: `Short above ${shareWords(DECISION_PROBABILITY)}, meets below ${Math.round((1 - DECISION_PROBABILITY) * 100)} %, otherwise unsure.`,
			next: withoutTemperature
				? `Enter the temperature of ${withoutTemperature === cells ? 'these runs' : `${withoutTemperature} of these runs`}: that narrows them most.`
				: 'To hold the supplier to the rating, run the lowest ones on a second tester.'
		})
	}),
	'capacity-at-least': verdict<{ atLeastAh: number; why: 'not-full' | 'ended-early' }>()({
		means: 'A run that did not go from full to the end: a lower bound.',
		urgencies: ['look'],
		words: ({ subject, facts: { atLeastAh, why } }) => ({
			title: `${subject.label}: at least ${atLeastAh.toFixed(0)} Ah`,
			finding:
				why === 'not-full'
					? `${atLeastAh.toFixed(1)} Ah came out of a cell that was not full when the run began.`
					: `${atLeastAh.toFixed(1)} Ah came out before the run was ended above its cut-off.`,
			doubt: 'How much more it holds this run does not tell.',
			rule: 'A capacity is what comes out from full to the end.',
			next: why === 'not-full' ? 'Charge it full to the tail, and run it again.' : 'Run it again to its end.'
		})
	}),
	'runs-contradict': verdict<{ runsAh: readonly number[] }>()({
		means: 'Runs of one cell that exclude each other: none of them is used.',
		urgencies: ['look'],
		words: ({ subject, facts: { runsAh } }) => ({
			title: `The runs of ${subject.label} contradict each other`,
			finding: `${runsAh.map((ah) => ah.toFixed(1)).join(' and ')} Ah: no cell gave both. None of them is used.`,
			doubt: null,
			rule: `Runs of one cell within a year differ by less than ${shareWords(CONTRADICT.share)} (default) and by less than their uncertainty explains.`,
			next: 'Open its passport: remove the wrong run, or move it to the cell it is of. If you cannot tell, run it again.'
		})
	}),
	'run-slipped': verdict<{ capacityAh: number; meantAh: number | null; ratedAh: number }>()({
		means:
			'A single result so far from the rating that a digit may have slipped; it is not used until another run says the same.',
		urgencies: ['look'],
		words: ({ subject, facts: { capacityAh, meantAh, ratedAh } }) => ({
			title: `Is the result of ${subject.label} typed right?`,
			finding: `${capacityAh} Ah from a cell rated ${ratedAh} Ah${meantAh === null ? '' : `; ${meantAh} Ah may have been meant`}. It is not used.`,
			doubt: null,
			rule: `A single result below ${shareWords(BELIEVABLE.least)} or above ${shareWords(BELIEVABLE.most)} of the rating (default) needs a second run that says the same.`,
			next: 'Open its passport: correct or remove the result, or run the cell again.'
		})
	}),
	'run-mean-voltage': verdict<{ meanV: number; expectedV: Measured; capacityAh: number; energyWh: number }>()({
		means: 'Wh over Ah of a run is not the mean voltage of such a discharge.',
		urgencies: ['look'],
		words: ({ subject, facts: { meanV, expectedV, capacityAh, energyWh } }) => ({
			title: `Wh and Ah of ${subject.label} do not fit each other`,
			finding: `${energyWh.toFixed(0)} Wh ÷ ${capacityAh.toFixed(1)} Ah is ${meanV.toFixed(2)} V; such a discharge has ${expectedV.value.toFixed(2)} ± ${(1.96 * expectedV.sd).toFixed(2)} V.`,
			doubt: 'Which of the two counters is wrong this run cannot tell.',
			rule: `Mean voltage of the chemistry at this rate, beyond ${ODD_SDS} sd of curve and counters.`,
			next: 'Check units and digits of both; compare the tester with another counter.'
		})
	}),
	'run-too-good': verdict<{ capacityAh: Measured; ratedAh: number; share: number; limit: number }>()({
		means: 'A run that gave more than a cell of that rating has.',
		urgencies: ['look'],
		words: ({ subject, facts: { capacityAh, ratedAh, share, limit } }) => ({
			title: `${subject.label} gave ${(100 * share).toFixed(0)} % more than it is rated`,
			finding: `${capacityAh.value.toFixed(1)} ± ${(1.96 * capacityAh.sd).toFixed(1)} Ah against ${ratedAh.toFixed(0)} Ah.`,
			doubt: 'A counter that reads too much is likelier than such a cell.',
			rule: `More than ${(100 * limit).toFixed(0)} % above rated, beyond the tester’s uncertainty, is questioned.`,
			next: 'Compare the tester with a second counter before you rely on this.'
		})
	}),
	'testers-apart': verdict<{ high: string | null; low: string | null; fraction: Measured }>()({
		means: 'Two testers that the same cells were run on: how much more one reads.',
		urgencies: ['calm', 'look'],
		calm: 'ok',
		words: ({ facts: { high, low, fraction } }) => ({
			title: `${testerName(high)} reads ${(fraction.value * 100).toFixed(1)} % more than ${testerName(low)}`,
			finding: `From the cells run on both: ${(fraction.value * 100).toFixed(1)} ± ${(196 * fraction.sd).toFixed(1)} %. Every capacity here takes that into account.`,
			doubt: 'Which of the two is right their runs cannot tell.',
			rule: `A tester’s gain is taken as 0 ± ${shareWords(TESTER_GAIN_SD)} before cells compare it.`,
			next: 'To know which, run one cell on a tester that was calibrated, or against a shunt.'
		})
	}),
	'next-run': verdict<{ runs: readonly { cell: string; tester: string | null }[]; decides: number; hours: number }>()({
		means:
			'The run, or the two cells that change testers, that decides most for its hours; how many cells that is on average.',
		urgencies: ['calm'],
		calm: 'note',
		follows: ['decides'],
		words: ({ facts: { runs, decides, hours } }) => ({
			title:
				runs.length > 1
					? `Swap ${runs.map((r) => r.cell).join(' and ')}`
					: `Next: ${runs[0]!.cell} on ${runs[0]!.tester ?? 'the tester nobody named'}`,
			finding: `${runs.map((r) => `${r.cell} on ${r.tester ?? 'the tester nobody named'}`).join(', ')}: ${hours.toFixed(0)} h with their charge.`,
			doubt: `As it looks now that decides ${decides.toFixed(1)} of the cells that cannot be told, on average: a chance, no promise.`,
			rule: 'Every run that could be made next, made in thought; cells and testers solved together. The most decided for its hours.',
			next: null
		})
	}),
	'at-temperatures': verdict<{
		at: {
			temperatureC: number;
			cells: number;
			/** Of them with a run in the room at a like rate. */
			compared: number;
			shareLow: number | null;
			shareHigh: number | null;
			usualLow: number;
			usualHigh: number;
		}[];
	}>()({
		means:
			'What cells gave at temperatures chosen on purpose, of what they give at 25 °C (95 %, lowest and highest; null: no run at a like rate).',
		urgencies: ['calm'],
		calm: 'note',
		words: ({ facts: { at } }) => ({
			title: `Tested on purpose at ${at.map((t) => `${t.temperatureC} °C`).join(' and ')}`,
			finding: at
				.map(
					(t) =>
						`At ${t.temperatureC} °C ${t.cells} ${t.cells === 1 ? 'cell' : 'cells'}${
							t.shareLow === null || t.shareHigh === null
								? ', none of which was run in the room at a like rate'
								: `: ${percentOf(t.shareLow)} to ${percentOf(t.shareHigh)} % of what ${t.compared === 1 ? 'it gives' : 'they give'} at 25 °C (usual ${percentOf(t.usualLow)} to ${percentOf(t.usualHigh)} %)`
						}.`
				)
				.join(' '),
			doubt: 'Runs at another temperature are compared with each other alone; no rating is judged by them.',
			rule: 'Each cell against its own run in the room at a like rate; the tester’s gain falls out where it is the same.',
			next: at.some((t) => t.compared < t.cells) ? 'Run these cells once in the room at the same rate.' : null
		})
	}),
	'weak-at-temperature': verdict<{ temperatureC: number; share: Measured; othersShare: number; cells: number }>()({
		means: 'A cell that gives less at a temperature than the others that were held at it.',
		urgencies: ['look'],
		words: ({ subject, facts: { temperatureC, share, othersShare } }) => ({
			title: `${subject.label} falls behind at ${temperatureC} °C`,
			finding: `It gives ${percentOf(share.value)} ± ${(196 * share.sd).toFixed(1)} % of what it gives at 25 °C; the others ${percentOf(othersShare)} %.`,
			doubt: 'A run that was colder than its thermometer, a bad clip or leads look the same.',
			rule: `Apart from the others by more than ${APART_SDS} sds of both and the ${shareWords(LIKE_CELLS_SD)} by which sound cells differ (default).`,
			next: 'Run it once more beside another one, with their leads exchanged. If it stays, keep it from cold or high current.'
		})
	}),
	'temperature-missed': verdict<{ heldAtC: number; temperatureC: number }>()({
		means: 'A run that was not at the temperature it was meant for.',
		urgencies: ['look'],
		words: ({ subject, facts: { heldAtC, temperatureC } }) => ({
			title: `${subject.label} was not at ${heldAtC.toFixed(0)} °C`,
			finding: `${temperatureC.toFixed(0)} °C on the cell, for a run meant to be at ${heldAtC.toFixed(0)} °C: it compares with nothing.`,
			doubt: null,
			rule: `Corrections larger than ${shareWords(LARGEST_CORRECTION)} are refused.`,
			next: 'Leave it there until it is through, half a day for a large cell, and run it again.'
		})
	}),
	'correction-refused': verdict<{ reason: string }>()({
		means: 'A run too far from standard conditions to be corrected.',
		urgencies: ['look'],
		words: ({ facts, subject }) => ({
			title: `${subject.label}: test again`,
			finding: facts.reason,
			doubt: null,
			rule: `Corrections larger than ${shareWords(LARGEST_CORRECTION)} are refused.`,
			next: 'Run it again nearer to that temperature. If it was warm or cold on purpose, say so with the run, on the passport of the cell.'
		})
	}),
	untested: verdict<{ waiting: number }>()({
		means: 'Cells without a capacity; members are those cells.',
		urgencies: ['open'],
		words: ({ facts, members }) => ({
			title: `${facts.waiting} ${facts.waiting === 1 ? 'cell' : 'cells'} not tested`,
			finding: 'Matching uses measured capacity only.',
			doubt: null,
			rule: 'No capacity is assumed from print.',
			next: `Put ${members[0]?.label ?? 'one'} on the tester.`
		})
	})
};
