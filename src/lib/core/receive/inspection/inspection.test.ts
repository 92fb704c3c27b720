import { describe, expect, it } from 'vitest';
import { WHOLE_BANK, type Subject } from '../../foundation/verdicts';
import { ALL_GOOD, judgeInspections, judgePromisedTerminals, judgeUnlike, stopReasons, swelling } from '.';
import { INSPECTED, type Inspection } from '../../picture';

const delivery: Subject = { kind: 'delivery', id: 1, label: 'Crate' };
const cell = (id: number, inspection: Inspection | null) => ({ id, label: `X-0${id}`, inspection });
const judged = (inspections: (Inspection | null)[]) =>
	judgeInspections(
		inspections.map((inspection, i) => cell(i + 1, inspection)),
		72,
		delivery
	);

describe('a case', () => {
	it.each([
		[[72, 72.5, 72], { outMm: 0.5, mostMm: 72.5, swollen: false }],
		[[72, 75.2, 72.1], { outMm: 3.2, mostMm: 75.2, swollen: true }],
		[[75.7, 75.8, 75.7], { outMm: 0.1, mostMm: 75.8, swollen: true }],
		[[null, 73, null], { outMm: 0, mostMm: 73, swollen: false }]
	])('%j mm of 72 → %j', (thickness, expected) => {
		const found = swelling(thickness, 72)!;
		expect(found.outMm).toBeCloseTo(expected.outMm, 9);
		expect(found).toMatchObject({ mostMm: expected.mostMm, swollen: expected.swollen });
	});
	it('nobody measured says nothing, and without a sheet only its middle tells', () => {
		expect(swelling(null, 72)).toBeNull();
		expect(swelling([90, 90, 90], null)!.swollen).toBe(false);
		expect(swelling([72, 76, 72], null)!.swollen).toBe(true);
	});
	it('that has swollen by measure or by eye stops once, not twice', () => {
		expect(stopReasons({ thicknessMm: [72, 77, 72] }, 72)).toEqual(['swelling']);
		expect(stopReasons({ bulge: 'bad', thicknessMm: [72, 77, 72] }, 72)).toEqual(['swelling']);
		expect(stopReasons({ leak: 'bad', smell: 'bad', vent: 'bad' }, 72)).toEqual(['leak', 'smell', 'vent']);
		expect(stopReasons(ALL_GOOD, 72)).toEqual([]);
	});
});

describe('a delivery that was looked at', () => {
	it('asks nothing while nobody has begun, and names who is missing once somebody has', () => {
		expect(judged([null, null])).toEqual([]);
		const [missing] = judged([ALL_GOOD, null, null]);
		expect(missing).toMatchObject({ code: 'not-inspected', warmth: 'open', facts: { unseen: 2, total: 3 } });
		expect(judged([ALL_GOOD, ALL_GOOD]).map((v) => v.code)).toEqual(['inspected-sound']);
	});
	it.each(['leak', 'vent'] as const)(
		'a %s stays a stop whatever was done with the cell; the record is shown',
		(key) => {
			expect(judged([{ ...ALL_GOOD, [key]: 'bad' }])[0]).toMatchObject({ code: 'inspection-stop', warmth: 'stop' });
			const wiped = judged([{ ...ALL_GOOD, [key]: 'bad', resolved: 'wiped, dry for a week' }])[0]!;
			expect(wiped).toMatchObject({ warmth: 'stop', facts: { lifted: false } });
			expect(wiped.finding).toContain('wiped, dry for a week');
		}
	);
	it('a smell that proved to be another thing’s is lifted by its record; heat is felt, and asked of nobody', () => {
		const other = judged([{ ...ALL_GOOD, smell: 'bad', resolved: 'The glue of the crate' }])[0]!;
		expect(other).toMatchObject({ warmth: 'calm', next: null, facts: { lifted: true } });
		expect(judged([{ ...ALL_GOOD, heat: 'bad' }])[0]).toMatchObject({ warmth: 'stop', facts: { reasons: ['heat'] } });
	});
	it('in a battery at work it is told to switch off and keep away, not to write to the supplier', () => {
		const [atWork] = judgeInspections(
			[{ id: 1, label: 'C-1', inspection: { ...ALL_GOOD, bulge: 'bad' }, atWork: true }],
			null,
			WHOLE_BANK
		);
		expect(atWork!.next).toMatch(/main switch.*keep away/);
		expect(atWork!.next).not.toContain('supplier');
	});
	it('a dent is looked at; not sure stays open', () => {
		expect(judged([{ ...ALL_GOOD, dent: 'bad', vent: 'unsure' }]).map((v) => [v.code, v.warmth])).toEqual([
			['inspection-look', 'look'],
			['inspection-unsure', 'open']
		]);
	});
	it('all good answers everything that is asked', () =>
		expect(Object.keys(ALL_GOOD).sort()).toEqual([...INSPECTED].sort()));
});

describe('cells that are to be built together', () => {
	const bank: Subject = { kind: 'bank', id: 1, label: 'Cabin' };
	const compared = (
		id: number,
		terminalKind: 'thread' | 'stud' | null,
		batch: string | null,
		groupId: number | null
	) => ({
		...cell(id, terminalKind && { ...ALL_GOOD, terminalKind }),
		batch,
		groupId
	});
	it('the few that differ are named, not the many, and in how many groups they meet', () => {
		const cells = [
			compared(1, 'thread', 'A', 7),
			compared(2, 'thread', 'A', 7),
			compared(3, 'stud', 'A', 8),
			compared(4, 'thread', 'A', 8)
		];
		const [unlike, ...rest] = judgeUnlike(cells, bank);
		expect(rest).toEqual([]);
		expect(unlike!.members.map((m) => m.id)).toEqual([3]);
		expect(unlike!.facts).toMatchObject({
			what: 'terminalKind',
			mixedGroups: 1,
			kinds: [
				{ kind: 'thread', cells: 3 },
				{ kind: 'stud', cells: 1 }
			]
		});
		expect(unlike!.finding).toContain('In one group already they');
	});
	it('two batches in one series are told; what is not known of a cell is held against nobody', () => {
		const batches = judgeUnlike([compared(1, null, 'A', null), compared(2, null, ' B ', null)], bank);
		expect(batches.map((v) => v.facts.what)).toEqual(['batch']);
		expect(batches[0]!.facts.mixedGroups).toBe(0);
		expect(
			judgeUnlike([compared(1, null, 'A', 1), compared(2, null, null, 1), compared(3, null, ' ', 1)], bank)
		).toEqual([]);
	});
	it('terminals other than promised are told of those that were looked at', () => {
		const cells = [compared(1, 'stud', null, null), compared(2, 'thread', null, null), compared(3, null, null, null)];
		const [told] = judgePromisedTerminals(cells, 'stud', delivery);
		expect(told).toMatchObject({ code: 'terminals-not-promised', facts: { promised: 'stud', found: ['thread'] } });
		expect(told!.members.map((m) => m.id)).toEqual([2]);
		expect(judgePromisedTerminals(cells, null, delivery)).toEqual([]);
	});
});
