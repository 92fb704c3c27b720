import { describe, expect, it } from 'vitest';
import { countedAh } from '../foundation/charge-account';
import { balanceState } from '../balance/state';
import { bankCapacities } from '../test/capacities';
import { judgeReceiveStage } from '../receive/judge';
import { chargeNow, cell, delivery, picture, run, type PictureReading, type Touch } from '../picture';

const touch = (from: string, more: Partial<Touch> = {}): Touch => ({
	from,
	until: from,
	balanceRunId: null,
	atWork: false,
	...more
});
const rest = (value: number, takenAt: string): PictureReading => ({
	id: 1,
	version: 1,
	value,
	sd: 0.001,
	rawText: `${value}`,
	restS: null,
	takenAt,
	takenDoubtS: null,
	meter: null
});
const ms = (iso: string) => Date.parse(iso);
const back = (at: string, ah: number): Touch =>
	touch(at, { movements: [{ fromMs: ms(at), untilMs: ms(at), end: null, movedAh: countedAh(ah) }] });

describe('the charge of cells by what was done to them', () => {
	const EMPTIED = '2026-03-09T00:00:00Z';
	const emptied = touch(EMPTIED, {
		movements: [{ fromMs: ms(EMPTIED), untilMs: ms(EMPTIED), end: 'empty', movedAh: countedAh(-284) }]
	});
	const tested = (id: number) =>
		cell(id, [run()], { touches: [emptied, back('2026-03-09T06:00:00Z', 140)], readings: {} });

	it('a cell that was emptied by its test and given back half is half full, and a row of them needs the other half', () => {
		const own = picture([tested(1), tested(2)]);
		const { share, by } = chargeNow(own, own.cells[0]!, null);
		expect(by).toBe('counted');
		expect(share.low).toBeGreaterThan(0.44);
		expect(share.high).toBeLessThan(0.56);
		// By hand: two cells of 284 Ah (measured) that lack half: 284 Ah; today's plan says 0 to 568.
		const { plan } = balanceState(own, [], '2026-03-10T00:00:00Z');
		expect(plan!.toDeliverAh.low).toBeGreaterThan(240);
		expect(plan!.toDeliverAh.high).toBeLessThan(330);
	});

	it('a result that was typed leaves the cell anyhow: many testers fill it again', () => {
		const own = picture([cell(1, [run()], { touches: [touch(EMPTIED)] })]);
		expect(chargeNow(own, own.cells[0]!, null)).toMatchObject({ by: 'nothing', share: { low: 0, high: 1 } });
	});

	it('cells of a row that began empty share alike what went in; of others it is anybody’s guess', () => {
		const row: Touch = touch('2026-03-10T00:00:00Z', {
			until: '2026-03-10T05:00:00Z',
			balanceRunId: 9,
			row: {
				cellIds: [1, 2],
				setV: 3.5,
				supplyA: 40,
				leadOhm: 0.01,
				startedAt: '2026-03-10T00:00:00Z',
				readings: ['00:00', '05:00'].map((at, i) => ({
					id: i,
					version: 1,
					readAt: `2026-03-10T${at}:00Z`,
					supplyV: 3.4,
					supplyA: 40,
					cellV: 3.35,
					deliveredAh: i * 200,
					stopped: null,
					counterAnew: null
				}))
			}
		});
		const both = picture([1, 2].map((id) => cell(id, [run()], { touches: [emptied, row] })));
		const { share } = chargeNow(both, both.cells[0]!, null);
		// By hand: 100 Ah of 284 each.
		expect(share.low).toBeGreaterThan(0.28);
		expect(share.low).toBeLessThan(0.352);
		expect(share.high).toBeGreaterThan(0.352);
		expect(share.high).toBeLessThan(0.45);
		const one = picture([cell(1, [run()], { touches: [emptied, row] }), cell(2, [], { touches: [row] })]);
		expect(chargeNow(one, one.cells[0]!, null).share.high).toBeGreaterThan(0.65);
	});

	it('a first charge that was counted tells what a cell came with, closer than a voltage on the plateau', () => {
		const at = '2026-03-05T00:00:00Z';
		const filled = touch(at, {
			movements: [{ fromMs: ms(at), untilMs: ms(at), end: 'full', movedAh: countedAh(154) }]
		});
		const arrivalRead = rest(3.295, '2026-03-02T00:00:00Z');
		const of = (touches: Touch[]) =>
			judgeReceiveStage(
				picture([cell(1, [], { touches, arrivalRead, readings: { restVoltage: arrivalRead } })])
			).verdicts.find((v) => v.code.startsWith('charge-'))!;
		expect(of([]).facts).toMatchObject({ wide: 1, counted: 0 });
		const told = of([filled]);
		expect(told.facts).toMatchObject({ wide: 0, counted: 1 });
		// By hand: 154 of 280 Ah went in, so it held 45 %.
		expect(told.facts.chargeLow).toBeGreaterThan(0.4);
		expect(told.facts.chargeHigh).toBeLessThan(0.5);
		expect(told.finding).toContain('their own first charges');
	});

	it('a cell ordered for a bank of another type is held against its own rating', () => {
		const small = { ...picture([]).cellType!, name: 'Q105', ratedAh: 105 };
		const own = picture([cell(1, [run({ capacityAh: 106, sdAh: 1, currentA: -50 })])], {
			clauses: [],
			deliveries: [{ ...delivery, ownType: small }]
		});
		expect(bankCapacities(own)[0]!.judgement).toMatchObject({ ratedAh: 105, outcome: 'meets' });
	});
});
