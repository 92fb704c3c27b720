import { verdict } from '../../foundation/verdicts';
import type { Interval } from '../../foundation/statistics';

interface SelfDischargeUnknownFacts {
	why: 'too-few' | 'no-time' | 'relaxing' | 'flat' | 'no-capacity';
	elapsedDays: number;
}

interface Leak {
	/** Share of the capacity lost in 30.4 days, %. */
	percentPerMonth: { low95: number; likely: number; high95: number };
	elapsedDays: number;
	/** Told by a refill, or by rest voltages. */
	by: 'refill' | 'voltages';
	/** What a healthy cell loses at most, % a month. */
	healthyPercent: number;
}

const range = ({ low95, high95 }: Interval) => `${low95.toFixed(1)} … ${high95.toFixed(1)} % a month`;

const days = (n: number) => `${n.toFixed(n < 10 ? 1 : 0)} days`;

const ruleOf = ({ by, healthyPercent }: Leak) =>
	by === 'refill'
		? `What a refill to the same tail took, by capacity and days; a healthy cell loses up to ${healthyPercent} % a month (default).`
		: `Every loss that some curve, charge and hysteresis fit to the readings; a healthy cell loses up to ${healthyPercent} % a month (default).`;

const doubtOf = ({ by }: Leak) =>
	by === 'refill'
		? '95 %: the counter, and 0.15 ± 0.2 % of the capacity that a refill counts too much. Warmth doubles it every 10 K.'
		: '95 %: the meter, the temperature and the curve itself. Warmth doubles it every 10 K.';

const TEST =
	'Charge it full to a tail, leave it alone for a month, charge it again the same way and count what goes in.';

const WHY: Record<SelfDischargeUnknownFacts['why'], string> = {
	'no-capacity': 'What it took is known, but not of how much: it has no run, and its type no rating.',
	'too-few': 'One reading says nothing of a loss: it takes two, apart in time.',
	'no-time': 'The readings were taken at about the same time.',
	relaxing: 'A cell that was charged full falls for weeks by itself: that is no loss of charge.',
	flat: 'On the plateau the voltage hardly moves: these readings fit any loss.'
};

export const SELF_DISCHARGE_VERDICTS = {
	'self-discharge-high': verdict<Leak>()({
		means: 'A cell that loses more charge by itself than a healthy one.',
		urgencies: ['look'],
		remedy: { to: 'receive/report', text: 'The report to the supplier' },
		words: ({ facts }) => ({
			title: 'Loses charge by itself',
			finding: `${range(facts.percentPerMonth)}, over ${days(facts.elapsedDays)}.`,
			doubt: doubtOf(facts),
			rule: ruleOf(facts),
			next: 'Keep it out of a bank; test it once more beside a cell known to be good.'
		})
	}),
	'self-discharge-usual': verdict<Leak>()({
		means: 'A cell that loses no more than a healthy one.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts }) => ({
			title: 'Keeps its charge',
			finding: `${range(facts.percentPerMonth)}, over ${days(facts.elapsedDays)}.`,
			doubt: doubtOf(facts),
			rule: ruleOf(facts),
			next: null
		})
	}),
	'self-discharge-unsure': verdict<Leak>()({
		means: 'Self-discharge that these readings bound, on both sides of what is healthy.',
		urgencies: ['open'],
		words: ({ facts }) => ({
			title: 'Cannot tell how much it loses',
			finding: `${range(facts.percentPerMonth)} fit, over ${days(facts.elapsedDays)}: from a healthy cell to one that self-discharges too fast.`,
			doubt: doubtOf(facts),
			rule: ruleOf(facts),
			next: facts.by === 'refill' ? 'Leave it longer, and refill again.' : TEST
		})
	}),
	'self-discharge-waits': verdict<{ chargedAt: string; dueOn: string }>()({
		means: 'A cell that stands full, to be charged again on a day.',
		urgencies: ['open'],
		words: ({ facts: { chargedAt, dueOn }, subject }) => ({
			title: `${subject.label} stands full until ${dueOn.slice(0, 10)}`,
			finding: `Charged to its tail on ${chargedAt.slice(0, 10)} and left alone: what it takes when it is charged again is what it lost.`,
			doubt: 'It tells nothing before that day: a shorter wait hides in the counter.',
			rule: TEST,
			next: `Charge it again on ${dueOn.slice(0, 10)}, to the same volts and the same tail, and write down the Ah on its passport.`
		})
	}),
	'cells-idle': verdict<{
		cells: number;
		/** Day on which the first of them was looked at last. */
		since: string;
		afterDays: number;
		chargeLow: number | null;
		chargeHigh: number | null;
	}>()({
		means: 'Cells that have stood for a season with nobody looking at them; the charge null: nobody knows.',
		urgencies: ['open', 'look'],
		follows: ['chargeLow', 'chargeHigh'],
		words: ({ facts: { cells, since, afterDays, chargeLow, chargeHigh } }) => ({
			title: `Nobody has looked at ${cells} ${cells === 1 ? 'cell' : 'cells'} since ${since}`,
			finding:
				chargeLow === null || chargeHigh === null
					? 'Nobody knows what they hold.'
					: `By now they hold ${Math.round(chargeLow * 100)} to ${Math.round(chargeHigh * 100)} % of their charge.`,
			doubt:
				'By what was read and counted last, and a loss of up to 3 % a month (default); a cell that leaks loses more.',
			rule: `A cell that stands is read every ${afterDays} days (default): below its limit it is harmed for good.`,
			next: 'Read the rest voltage of each, and charge those that are low to about half.'
		})
	}),
	'delivery-late': verdict<{ promisedOn: string; receivedOn: string; daysLate: number }>()({
		means: 'A delivery that came later than promised.',
		urgencies: ['calm'],
		calm: 'note',
		words: ({ subject, facts: { promisedOn, receivedOn, daysLate } }) => ({
			title: `${subject.label} came ${Math.round(daysLate)} ${Math.round(daysLate) === 1 ? 'day' : 'days'} late`,
			finding: `Promised for ${promisedOn}, received on ${receivedOn}.`,
			doubt: null,
			rule: 'Day of receipt against the promise.',
			next: null
		})
	}),
	'self-discharge-unknown': verdict<SelfDischargeUnknownFacts>()({
		means: 'Readings that say nothing of self-discharge.',
		urgencies: ['open'],
		words: ({ facts: { why } }) => ({
			title: 'Says nothing of self-discharge',
			finding: WHY[why],
			doubt: null,
			rule: 'A loss shows where the curve is steep (below about 20 %), or by what a refill takes.',
			next: TEST
		})
	})
};
