import { describe, expect, it } from 'vitest';
import type { Subject } from '../../foundation/verdicts';
import { judgeCodes, type CodedCell } from '.';

const delivery: Subject = { kind: 'delivery', id: 1, label: 'Crate' };
const code = (date: string, serial: number, chemistry = 'B') =>
	`0HKC${chemistry}73A12B34C${date}${String(serial).padStart(7, '0')}`;
const cell = (id: number, own: string | null, twins: CodedCell['twins'] = []): CodedCell => ({
	id,
	label: `X-${id}`,
	code: own,
	twins
});
const judged = (cells: CodedCell[], promisedProducedOn: string | null = null) =>
	judgeCodes(cells, { chemistry: 'LFP', receivedOn: '2026-11-20', promisedProducedOn }, delivery);
const codes = (...args: Parameters<typeof judged>) => judged(...args).map((v) => v.code);

describe('the codes of a delivery', () => {
	it('of cells alike tell their age, calmly', () => {
		const [age] = judged([cell(1, code('G51', 1)), cell(2, code('G61', 2))]);
		expect(age).toMatchObject({ code: 'age-at-arrival', warmth: 'calm', facts: { cells: 2 } });
		expect(age!.facts.oldestMonths).toBeCloseTo(6.7, 1);
	});
	it.each([
		[[cell(1, code('E51', 1))], null, ['age-at-arrival']],
		[[cell(1, code('G51', 1, 'E'))], null, ['code-chemistry', 'age-at-arrival']],
		[[cell(1, code('GC1', 1))], null, ['code-after-arrival']],
		[[cell(1, code('G21', 1))], '2026-03-01', ['code-older-than-promised', 'age-at-arrival']],
		[[cell(1, 'short')], null, ['code-unreadable']],
		[[cell(1, null), cell(2, ' ')], null, []]
	] as const)('%j', (cells, promised, expected) => expect(codes([...cells], promised)).toEqual(expected));
	it('an old one is worth a word', () => expect(judged([cell(1, code('E51', 1))])[0]!.warmth).toBe('open'));
	it('one on two cells is told once, with all who bear it, wherever they are', () => {
		const own = code('G51', 7);
		const twice = judged([cell(1, own, [{ id: 9, label: 'Y-9' }]), cell(2, own)]).filter(
			(v) => v.code === 'code-twice'
		);
		expect(twice).toHaveLength(1);
		expect([twice[0]!.subject, ...twice[0]!.members].map((s) => s.id).sort()).toEqual([1, 2, 9]);
	});
	describe('and what is printed on a cell', () => {
		const printed = (printedMonth: string, own: string | null = null) => ({ ...cell(1, own), printedMonth });
		it('dates it where it has no code', () => {
			const [age] = judged([printed('2025-05')]);
			expect(age).toMatchObject({ code: 'age-at-arrival', warmth: 'open', facts: { cells: 1 } });
			// By hand: from the middle of May 2025 to 20 November 2026.
			expect(age!.facts.oldestMonths).toBeCloseTo(18.2, 1);
		});
		it('is older than promised only when its whole month is', () => {
			expect(codes([printed('2026-02')], '2026-03-01')).toEqual(['print-older-than-promised', 'age-at-arrival']);
			expect(codes([printed('2026-03')], '2026-03-15')).toEqual(['age-at-arrival']);
		});
		it('contradicts its code beyond two months, and else leaves the word to it', () => {
			expect(codes([printed('2024-05', code('G51', 1))])).toEqual(['print-and-code-apart', 'age-at-arrival']);
			expect(codes([printed('2026-06', code('G51', 1))])).toEqual(['age-at-arrival']);
		});
		it('cannot be of after it came', () => expect(codes([printed('2026-12')])).toEqual(['print-after-arrival']));
	});
});
