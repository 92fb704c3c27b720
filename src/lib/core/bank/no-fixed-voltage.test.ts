import { describe, expect, it } from 'vitest';
import { CHEMISTRIES, CHEMISTRY_FIGURES, TOP_BALANCE_V, type Chemistry } from '../foundation/chemistry';
import { judgeDelivery, outsideLimits } from '../receive/arrival';
import { judgeLinksOff } from '../balance/links';
import { methodWords } from '../balance/chooser';
import { WHOLE_BANK, type Verdict } from '../foundation/verdicts';

/** Every text a verdict, a limit or a method is made of, as written. */
const SOURCES = import.meta.glob(
	[
		'../**/verdicts/*.ts',
		'../**/verdicts.ts',
		'../**/*-words.ts',
		'../limits/values/limits.ts',
		'../foundation/live-run/*.ts',
		'../../components/**/*.svelte',
		'!../**/*.test.ts'
	],
	{ query: '?raw', import: 'default', eager: true }
) as Record<string, string>;

/** A tolerance between two readings is the same for every chemistry. */
const TOLERANCES = ['within 0.1 V'];
const withoutComments = (source: string) => source.replace(/\/\*[\s\S]*?\*\//g, '').replace(/<!--[\s\S]*?-->/g, '');
const withoutTolerances = (source: string) => TOLERANCES.reduce((text, own) => text.replaceAll(own, ''), source);

describe('no voltage is fixed in a sentence', () => {
	it('reads the words of every stage', () => expect(Object.keys(SOURCES).length).toBeGreaterThan(100));
	it.each(Object.keys(SOURCES))('%s', (file) => {
		const fixed = withoutTolerances(withoutComments(SOURCES[file]!)).match(/(?<![\d.])\d\.\d{1,3} ?V\b/g);
		expect(fixed).toBeNull();
	});

	const textsOf = (verdicts: readonly Verdict[]) =>
		verdicts.map((v) => [v.title, v.finding, v.doubt, v.rule, v.next].join(' ')).join(' ');
	const voltsIn = (text: string) => [...text.matchAll(/(\d+\.\d+) V/g)].map((m) => Number(m[1]));
	/** What Receive says of cells at every depth, of links, and how a method is described. */
	const saidFor = (chemistry: Chemistry) => {
		const { dischargeLimitV, chargeLimitV } = CHEMISTRY_FIGURES[chemistry];
		const shares = [0.2, 0.6, 0.9, 1.1];
		return textsOf([
			...shares.flatMap((share) => outsideLimits(chemistry, dischargeLimitV * share, 0.001, WHOLE_BANK) ?? []),
			...judgeDelivery(
				shares.map((share, id) => ({
					id,
					label: `C-${id}`,
					restVoltageV: dischargeLimitV * share,
					restVoltageSdV: 0.001,
					acResistanceMohm: 0.2,
					acResistanceSdMohm: 0.01
				})),
				{ chemistry, restS: 86_400, ratedResistanceMohm: null }
			).verdicts,
			judgeLinksOff(chemistry, [2 * chargeLimitV, null], { balancePlugOut: false, meterProved: false }, WHOLE_BANK),
			judgeLinksOff(chemistry, [0], { balancePlugOut: true, meterProved: true }, WHOLE_BANK)
		]).concat(Object.values(methodWords(TOP_BALANCE_V[chemistry]).top).join(' '));
	};
	it.each(CHEMISTRIES)('an %s cell is told no voltage above what it bears', (chemistry) => {
		const { chargeLimitV } = CHEMISTRY_FIGURES[chemistry];
		const volts = voltsIn(saidFor(chemistry));
		expect(volts.length).toBeGreaterThan(5);
		// Across a linked pair it is two cells.
		for (const v of volts) expect(v).toBeLessThanOrEqual(2 * chargeLimitV);
	});
	it('a deep-discharged LTO cell is brought back to 1.80 V at most, an LFP cell to 3.00 V', () => {
		const recovery = (chemistry: Chemistry, v: number) => outsideLimits(chemistry, v, 0.001, WHOLE_BANK)!.next;
		expect(recovery('LTO', 1.4)).toContain('to at most 1.80 V');
		expect(recovery('LFP', 2.4)).toContain('to at most 3.00 V');
	});
});
