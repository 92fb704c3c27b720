import { describe, expect, it } from 'vitest';
import { askWorlds } from './ask-worlds';
import { coverages, detections, reliabilities, type Coverage } from './summary';

/** Enough to see a wrong doubt, few enough to wait for. */
const WORLDS = 36;
/** What takes long is asked once, so that it runs at all; how true it is `npm run truth` tells. */
const COSTLY_EVERY = 36;
const SEED = 20_261_126;
/** A method whose 95 % are true falls below the floor once in a thousand. */
const ONCE_IN = 1000;
const STATED = 0.95;

/** The fewest of n that a correct method holds 999 times in 1000: the binomial law, summed from below. */
function floorOf(n: number): number {
	// By logarithms: of many the first terms are smaller than any number.
	let logTerm = n * Math.log(1 - STATED);
	let sum = Math.exp(logTerm);
	let k = 0;
	while (sum < 1 / ONCE_IN && k < n) {
		logTerm += Math.log(((n - k) / (k + 1)) * (STATED / (1 - STATED)));
		k++;
		sum += Math.exp(logTerm);
	}
	return k;
}

describe('what is stated, in worlds that differ from the model', () => {
	const answers = askWorlds(WORLDS, SEED, () => undefined, [''], undefined, COSTLY_EVERY);
	const held = coverages(answers);
	const ordinary = held.filter((c) => c.stratum === null);
	/** Testers that are off alike, and used cells nobody said were used: told in docs/truth.md, not promised. */
	const promised = held.filter((c) => !/off$|used cell/.test(c.stratum ?? ''));
	it('asks of no quantity that is not listed here', () =>
		expect([
			'age at 80 % of rated, years',
			'apart after half a day of standing joined',
			'bad cells of a lot by a sample',
			'capacity at 25 °C and 0.2 C',
			'capacity by spot notes',
			'capacity by two testers together',
			'capacity three years on',
			'capacity with earlier lots as evidence',
			'charge between fullest and emptiest group',
			'charge by witnesses',
			'charge on arrival by what went in',
			'drift of a group a year after its count',
			'drift of a group at the top',
			'drift of a group with the charge’s log',
			'earliest end of a queue (a bound, never broken)',
			'gain of a tester',
			'joint beyond its like, mΩ',
			'joint told from a check under load, mΩ',
			'largest current when all are joined at once',
			'look again before a twentieth is left (a bound)',
			'missing a day after a light',
			'moved by half a day of standing joined',
			'peak current at joining',
			'share of its capacity a cell gives in the cold or in warmth',
			'self-discharge by a refill',
			'self-discharge by rest voltages',
			'share of days that end empty',
			'share of full after so much was given back',
			'share of full it came with, by its first charge',
			'state of charge from a rest voltage',
			'the same by its voltage alone',
			'time left of a charge of one cell',
			'time left of a discharge',
			'time to the end by spot notes',
			'time to the end of a charge',
			'volts a full cell settles at',
			'volts after the last rest',
			'what a balanced string gives',
			'what a string gives as the cells came',
			'what a string gives with an active balancer',
			'what a string lacks when its first is full',
			'what a supply shows too much',
			'what matching gains',
			'what nine in ten of a lot hold',
			'what the smallest group really holds',
			'years of a new battery'
		]).toEqual(expect.arrayContaining(ordinary.map((c) => c.of))));
	it('asks where worlds differ more, or people err, of these', () =>
		expect([
			'a bend before the last test',
			'a cell exchanged',
			'a log with faults',
			'a pack warmer at one end',
			'a slipped figure',
			'a used cell',
			'fast in the cold',
			'in the cold',
			'long grey spells',
			'near full or nearly empty',
			'seasons',
			'temperature not told',
			'testers 3 to 5 % off',
			'three hours after a discharge',
			'three hours after a discharge, told',
			'two ways of use, uncounted',
			'while current flows'
		]).toEqual(expect.arrayContaining(held.flatMap((c) => c.stratum ?? []))));
	it('95 % intervals hold the truth', () => {
		for (const c of promised)
			expect(c.held, `${c.of}, ${c.stratum}: ${c.held} of ${c.asked}`).toBeGreaterThanOrEqual(floorOf(c.asked));
	});
	/** Wide is not a way out. Of what is asked of every world. */
	it.each([
		['state of charge from a rest voltage', 0.26],
		['capacity at 25 °C and 0.2 C', 0.065],
		['charge between fullest and emptiest group', 0.2],
		['drift of a group at the top', 0.08],
		['time left of a discharge', 0.26],
		['capacity with earlier lots as evidence', 0.042],
		['what the smallest group really holds', 0.05],
		['what matching gains', 0.03]
	])('and %s is told within %s on the mean', (of, width) =>
		expect(ordinary.find((c): c is Coverage => c.of === of)!.width).toBeLessThan(width)
	);
	it('probabilities come to pass about as often as stated', () => {
		for (const { of, brier, ideal, asked } of reliabilities(answers))
			expect(brier - ideal, of).toBeLessThan(3.1 * (0.25 / Math.sqrt(asked)) + 0.02);
	});
	it('nothing balanced is called apart, nothing apart balanced, and what is hidden is found', () => {
		const by = new Map(detections(answers).map((d) => [d.of, d]));
		const apart = by.get('a group more than 1 % behind, called apart')!;
		const balanced = by.get('groups within 1 %, called balanced')!;
		for (const d of [apart, balanced]) expect(d.falselyCalled / d.absent, d.of).toBeLessThan(0.06);
		expect(apart.caught / apart.present).toBeGreaterThan(0.85);
		expect(balanced.caught / balanced.present).toBeGreaterThan(0.6);
		// A plug that may end a BMS is not passed (but for an open lead 0, which no such reading shows); one that is right mostly is.
		const wrongLead = by.get('balance lead wrong, not passed')!;
		expect(wrongLead.caught / wrongLead.present).toBeGreaterThan(0.95);
		expect(wrongLead.falselyCalled / wrongLead.absent).toBeLessThan(0.05);
		const looseJoint = by.get('joint 0.3 mΩ and more too much')!;
		expect(looseJoint.caught / looseJoint.present).toBeGreaterThan(0.85);
		const resistance = by.get('a cell of 1.3 to 2 × the resistance')!;
		expect(resistance.caught / resistance.present).toBeGreaterThan(0.9);
	});
	it('the same seed gives the same answers', () => {
		const ask = () => askWorlds(3, 5, () => undefined, ['leads', 'testers', 'joints']);
		expect(ask()).toEqual(ask());
	});
});

describe('the floor', () => {
	it('of 100 is 87: 95 % of a hundred fall below 87 less than once in a thousand', () => {
		expect(floorOf(100)).toBe(87);
		expect(floorOf(20)).toBe(15);
	});
});
