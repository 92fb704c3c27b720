import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planTopBalance, type BalanceCell } from './foundation/parallel-charge';
import { analyseRun } from './test/log';
import { socBounds } from './foundation/chemistry';
import { matchCells } from './match/groups';
import { QUANTITIES, parseReading, questionReading } from './foundation/reading';
import { CoreError } from './foundation/errors';

/** Whatever comes in, the core answers or refuses with a reason; it never breaks. */
function answersOrRefuses(work: () => unknown): boolean {
	try {
		work();
		return true;
	} catch (error) {
		return error instanceof CoreError && error.code.length > 0 && error.message.length > 10;
	}
}

describe('any text', () => {
	const options = { ratedAh: 100, bridgeGaps: true, cutoffV: 2.5 };
	it('is a log or a refusal', () => {
		fc.assert(fc.property(fc.string({ maxLength: 400 }), (text) => answersOrRefuses(() => analyseRun(text, options))));
	});
	it('under a proper header gives finite figures or a refusal', () => {
		const field = fc.oneof(
			fc.double().map(String),
			fc.integer({ min: -1000, max: 100000 }).map(String),
			fc.constantFrom('', 'x', '1,5', '00:10:00', '2026-01-01 10:00')
		);
		const body = fc.array(fc.tuple(field, field, field), { maxLength: 30 });
		fc.assert(
			fc.property(body, (rows) => {
				const text = ['time_s;voltage_V;current_A', ...rows.map((r) => r.join(';'))].join('\n');
				return answersOrRefuses(() => {
					const run = analyseRun(text, options);
					expect(run.durationS).toBeGreaterThanOrEqual(0);
					expect(run.capacityAh).toBeGreaterThanOrEqual(0);
					expect(run.capacityAh).not.toBeNaN();
				});
			})
		);
	});
	it('is a reading or a refusal', () => {
		fc.assert(
			fc.property(fc.string({ maxLength: 30 }), fc.constantFrom(...QUANTITIES), (text, quantity) =>
				answersOrRefuses(() => expect(Number.isFinite(parseReading(text, quantity).value)).toBe(true))
			)
		);
	});
});

describe('any number', () => {
	it('is questioned with words or let through', () => {
		fc.assert(
			fc.property(
				fc.double({ noNaN: true, noDefaultInfinity: true }),
				fc.constantFrom(...QUANTITIES),
				fc.array(fc.double({ min: 3, max: 3.4, noNaN: true }), { maxLength: 5 }),
				(value, quantity, neighbours) => {
					const question = questionReading(value, quantity, 'LFP', neighbours);
					return question === null || (question.text.length > 10 && !/NaN|undefined/.test(question.text));
				}
			)
		);
	});
	it('higher voltage never means less charge', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1, max: 5, noNaN: true }),
				fc.double({ min: 0, max: 0.5, noNaN: true }),
				(voltage, more) => {
					const [low, high] = [voltage, voltage + more].map((v) => socBounds('LFP', v, 0.002, 3600));
					expect(high!.lowFraction).toBeGreaterThanOrEqual(low!.lowFraction - 1e-9);
					expect(high!.highFraction).toBeGreaterThanOrEqual(low!.highFraction - 1e-9);
					expect(low!.highFraction).toBeGreaterThanOrEqual(low!.lowFraction);
				}
			)
		);
	});
});

describe('order and scale', () => {
	it('matching does not depend on the order of delivery, and scales with capacity', () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 900, max: 1100 }), { minLength: 8, maxLength: 11 }), (capacities) => {
				let ticks = 0;
				const run = (list: number[]) =>
					matchCells(
						{ series: 4, parallel: 2, cells: list.map((capacityAh, id) => ({ id, capacityAh })) },
						{ timeLimitS: 1e6, clockS: () => ++ticks }
					);
				const forwards = run(capacities);
				const backwards = run([...capacities].reverse());
				const tenfold = run(capacities.map((c) => c * 10));
				expect(backwards.smallestGroupAh).toBeCloseTo(forwards.smallestGroupAh, 9);
				expect(backwards.spreadAh).toBeCloseTo(forwards.spreadAh, 9);
				expect(tenfold.smallestGroupAh).toBeCloseTo(10 * forwards.smallestGroupAh, 6);
			}),
			{ numRuns: 40 }
		);
	});
	it('a balance of more and emptier cells never needs less', () => {
		const cell = (id: number, socLow: number): BalanceCell => ({
			id,
			label: `C-${id}`,
			capacityAh: 100,
			socLow,
			socHigh: socLow + 0.1,
			restVoltageV: 3.29,
			resistanceMohm: 0.3
		});
		const setup = { chemistry: 'LFP' as const, chargeLimitV: 3.65, chargeCRate: 0.5, supplyA: 20, leadOhm: 0.005 };
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 6 }), fc.double({ min: 0.2, max: 0.7, noNaN: true }), (n, soc) => {
				const cells = Array.from({ length: n }, (_, i) => cell(i, soc));
				const plan = planTopBalance(cells, setup);
				const emptier = planTopBalance(
					cells.map((c) => ({ ...c, socLow: soc - 0.1 })),
					setup
				);
				const larger = planTopBalance([...cells, cell(n, soc)], setup);
				expect(emptier.durationS.high).toBeGreaterThan(plan.durationS.high);
				expect(larger.toDeliverAh.low).toBeGreaterThan(plan.toDeliverAh.low);
				expect(plan.durationS.low).toBeLessThanOrEqual(plan.durationS.high);
				expect(plan.barsNeeded).toBe(2 * (n - 1));
			}),
			{ numRuns: 25 }
		);
	});
});
