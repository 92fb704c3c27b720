import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { verdictCodes, verdictPage } from '../../../../scripts/steps/verdict-docs.mjs';
import { VERDICT_CODES } from '.';
import { cellSubject, cellsOf, factsMoved, measured, sameVerdict } from '../foundation/verdicts';
import { sayAny as say, standsOnOther } from './every-verdict';

const cell = cellSubject({ id: 7, label: 'H-07' });

describe('a verdict', () => {
	it('is worded from its facts alone', () => {
		const facts = {
			restVoltageV: measured(1.9, 0.002),
			limitV: 2.5,
			recoveryV: 3,
			chemistry: 'LFP' as const,
			level: 'low' as const,
			touched: false
		};
		const verdict = say('deep-discharged', 'stop', cell, facts);
		expect(verdict).toMatchObject({ code: 'deep-discharged', warmth: 'stop', subject: cell, members: [], facts });
		expect(verdict.title).toBe('H-07 arrived below 2.50 V');
		expect(verdict.doubt).toContain('± 2.0 mV');
		expect(say('deep-discharged', 'stop', cell, facts)).toEqual(verdict);
	});
	it('names the cells it speaks of: its subject, or its members', () => {
		const others = [1, 2].map((id) => cellSubject({ id, label: `H-0${id}` }));
		const bank = { kind: 'bank' as const, id: 3, label: 'Heronry' };
		expect(cellsOf(say('untested', 'open', bank, { waiting: 2 }, others))).toEqual([1, 2]);
		expect(cellsOf({ subject: cell })).toEqual([7]);
		expect(cellsOf({})).toEqual([]);
	});
	it('is the same one on the same subject, whatever it says', () => {
		const at = (id: number, ah: number) =>
			say(
				'drift',
				'look',
				{ kind: 'group', id, label: `Group ${id}` },
				{
					driftAh: { low95: ah - 0.2, likely: ah, high95: ah + 0.2 },
					limitAh: 1,
					limitShare: 0.01,
					countedAtV: null,
					learntOn: null,
					end: 'top' as const,
					group: id
				}
			);
		expect(sameVerdict(at(1, -2), at(1, -3))).toBe(true);
		expect(sameVerdict(at(1, -2), at(2, -2))).toBe(false);
	});
});

describe('facts have moved', () => {
	const facts = (value: number, sd = 0.01, more: object = {}) => ({
		restVoltageV: measured(value, sd),
		limitV: 2.5,
		...more
	});
	it('when a figure lies outside what its doubt allowed', () => {
		expect(factsMoved(facts(3.29), facts(3.3))).toBe(false);
		// 1.96 × 0.01 = 0.0196
		expect(factsMoved(facts(3.29), facts(3.3095))).toBe(false);
		expect(factsMoved(facts(3.29), facts(3.3097))).toBe(true);
	});
	it('when anything without doubt is another, is new or is gone', () => {
		expect(factsMoved(facts(3.29), { ...facts(3.29), limitV: 2.6 })).toBe(true);
		expect(factsMoved(facts(3.29), facts(3.29, 0.01, { extra: 1 }))).toBe(true);
		expect(factsMoved(facts(3.29, 0.01, { extra: null }), facts(3.29))).toBe(true);
		expect(factsMoved({ list: ['a', 'b'] }, { list: ['a'] })).toBe(true);
		expect(factsMoved({ list: [{ low: 1 }] }, { list: [{ low: 1 }] })).toBe(false);
	});
	it('an exact figure moves with the least step, and one that follows from others does not count', () => {
		expect(factsMoved({ a: measured(1, 0) }, { a: measured(1, 0) })).toBe(false);
		expect(factsMoved({ a: measured(1, 0) }, { a: measured(1.001, 0) })).toBe(true);
		expect(factsMoved({ robustZ: 5 }, { robustZ: 9 })).toBe(true);
		expect(factsMoved({ robustZ: 5 }, { robustZ: 9 }, ['robustZ'])).toBe(false);
		// As the definition of its code says.
		const at = (code: string, fact: string) => standsOnOther({ code, facts: { [fact]: 5 } }, { facts: { [fact]: 9 } });
		expect(at('voltage-outlier', 'robustZ')).toBe(false);
		expect(at('voltage-outlier', 'limitV')).toBe(true);
		expect(at('no-longer-said', 'robustZ')).toBe(true);
	});
	it('an interval moves when its middle leaves what it held', () => {
		const within = { apartAh: { low95: 6, likely: 30, high95: 90 } };
		expect(factsMoved(within, { apartAh: { low95: 20, likely: 60, high95: 95 } })).toBe(false);
		expect(factsMoved(within, { apartAh: { low95: 1, likely: 4, high95: 8 } })).toBe(true);
	});
});

describe('the list of verdicts', () => {
	it('is made from the types, complete, and the page in docs is it', () => {
		const listed = verdictCodes().flatMap((s) => s.codes);
		expect(listed.map((c) => c.code).sort()).toEqual([...VERDICT_CODES].sort());
		for (const { code, doc } of listed) expect(doc, code).not.toBe('');
		expect(readFileSync('docs/verdicts.md', 'utf8')).toBe(verdictPage());
	});
});
