import type { Measured, Said, Sentences, Words } from './verdict';

interface CapacityFacts {
	capacityAh: Measured;
	ratedAh: number;
	/** P(true capacity < rated). */
	probabilityShort: number;
	/** A shortfall is called beyond this probability. */
	decidedBeyond: number;
	/** Between the testers it was run on, Ah; null with one. */
	testersApartAh: number | null;
}

export interface TestFacts {
	/** The true capacity is below rated beyond the deciding probability. */
	'capacity-short': CapacityFacts;
	/** The true capacity is not below rated beyond the deciding probability. */
	'capacity-meets': CapacityFacts;
	/** Neither: what would decide is said. */
	'capacity-unsure': CapacityFacts;
	/** A run too far from standard conditions to be corrected. */
	'correction-refused': { reason: string };
	/** Cells without a capacity; members are those cells. */
	untested: { waiting: number };
}

function showProbability(p: number): string {
	if (p > 0.999) return 'over 99.9 %';
	return p < 0.001 ? 'under 0.1 %' : `${(p * 100).toFixed(p > 0.1 && p < 0.9 ? 0 : 1)} %`;
}

function deciding({ capacityAh, ratedAh, testersApartAh }: CapacityFacts): string {
	if (testersApartAh !== null && testersApartAh > Math.abs(capacityAh.value - ratedAh))
		return `Your testers disagree by ${testersApartAh.toFixed(1)} Ah, more than the difference from rated: compare them on more cells, or against a better one.`;
	const wantedSd = Math.abs(capacityAh.value - ratedAh) / 1.645;
	return wantedSd < capacityAh.sd / 2
		? 'Run it on a second tester: the difference is far inside this tester’s doubt.'
		: `A second run on another tester would decide: it needs a doubt below ${wantedSd.toFixed(1)} Ah.`;
}

/** The figures every capacity verdict shows alike. */
function against({ capacityAh, ratedAh, probabilityShort, decidedBeyond }: CapacityFacts) {
	const difference = capacityAh.value - ratedAh;
	return {
		finding: `${capacityAh.value.toFixed(1)} ± ${capacityAh.sd.toFixed(1)} Ah against ${ratedAh} rated: ${Math.abs(difference).toFixed(1)} Ah ${difference < 0 ? 'under' : 'over'}.`,
		doubt: `Probability that the true capacity is below rated: ${showProbability(probabilityShort)}.`,
		rule: `Short above ${decidedBeyond * 100} %, meets below ${Math.round((1 - decidedBeyond) * 100)} %, otherwise unsure.`
	};
}

const capacity =
	(title: (label: string) => string, next: (facts: CapacityFacts) => string | null) =>
	({ facts, subject }: Said<CapacityFacts>): Sentences => ({
		title: title(subject.label),
		...against(facts),
		next: next(facts)
	});

export const TEST_WORDS: Words<TestFacts> = {
	'capacity-short': capacity(
		(label) => `${label} is short`,
		() => 'Write to the supplier with these figures, and match it with care.'
	),
	'capacity-meets': capacity(
		(label) => `${label} meets its rating`,
		() => null
	),
	'capacity-unsure': capacity((label) => `${label}: cannot tell yet`, deciding),
	'correction-refused': ({ facts, subject }) => ({
		title: `${subject.label}: test again`,
		finding: facts.reason,
		doubt: null,
		rule: 'Corrections larger than 5 % are refused.',
		next: 'Warm the cell and run it again.'
	}),
	untested: ({ facts, members }) => ({
		title: `${facts.waiting} ${facts.waiting === 1 ? 'cell' : 'cells'} not tested`,
		finding: 'Matching uses measured capacity only.',
		doubt: null,
		rule: 'No capacity is assumed from print.',
		next: `Put ${members[0]?.label ?? 'one'} on the tester.`
	})
};
