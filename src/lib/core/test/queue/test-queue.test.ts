import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planQueue, queueSteps, type QueueInput, soakHours } from '.';
import { lowerBoundH } from './plan-queue';
import { prepareQueue } from './queue-input';

const input = (more: Partial<QueueInput> = {}): QueueInput => ({
	cells: Array.from({ length: 4 }, (_, i) => ({ id: `c${i + 1}`, capacityAh: 100, soc: 0.5 })),
	testers: [{ id: 't', currentA: 20 }],
	supplies: [{ id: 's', currentA: 20 }],
	waking: { from: '07:00', to: '22:00' },
	startAt: '2026-11-26T08:00:00Z',
	...more
});
const HOUR = 3_600_000;
const hour = (iso: string, start = '2026-11-26T08:00:00Z') => (Date.parse(iso) - Date.parse(start)) / HOUR;

describe('the queue', () => {
	it('by hand: one cell, charge 50 Ah at 20 A with its tail, an hour of rest, five hours out, 2.5 h back', () => {
		const { steps, endsAt, boundEndsAt } = planQueue(input({ cells: [{ id: 'a', capacityAh: 100, soc: 0.5 }] }));
		expect(steps.map((s) => [s.kind, s.on, hour(s.from), hour(s.to), s.needsPerson])).toEqual([
			['charge', 's', 0, expect.closeTo(3.2, 5), true],
			['rest', null, expect.closeTo(3.2, 5), expect.closeTo(4.2, 5), false],
			['discharge', 't', expect.closeTo(4.2, 5), expect.closeTo(9.2, 5), true],
			['store', 's', expect.closeTo(9.2, 5), expect.closeTo(11.7, 5), true]
		]);
		expect(hour(endsAt)).toBeCloseTo(11.7, 5);
		expect(boundEndsAt).toBe(endsAt);
	});
	it('a discharge that may not be left alone waits for a morning; one that may be begins in the evening', () => {
		const late = { cells: [{ id: 'a', capacityAh: 280, soc: 0.5 }], testers: [{ id: 't', currentA: 20 }] };
		const from = (unattendedDischarge: boolean) =>
			planQueue(input({ ...late, unattendedDischarge })).steps.find((s) => s.kind === 'discharge')!.from;
		expect(from(true)).toBe('2026-11-26T16:42:00.000Z');
		expect(from(false)).toBe('2026-11-27T07:00:00.000Z');
	});
	it('tests first what has to be tested by a day, where the order saves that day', () => {
		const cells = ['c1', 'c2', 'c3', 'c4'].map((id) => ({ id, capacityAh: 100, soc: 0.5 }));
		const testedAt = (testBy: string) => {
			const pressed = cells.map((c) => (c.id === 'c4' ? { ...c, testBy } : c));
			const { steps } = planQueue(input({ cells: pressed, unattendedDischarge: true }));
			return hour(steps.find((s) => s.cellId === 'c4' && s.kind === 'discharge')!.to);
		};
		// Its own way takes 9.2 h: with nothing else before it, it is tested by the end of the day.
		expect(testedAt('2026-11-26')).toBeLessThanOrEqual(16);
		// A day that is past presses nobody any more, and one that nothing can save is come as near to as can be.
		expect(testedAt('2026-11-20')).toBe(testedAt('2027-11-26'));
		expect(testedAt('2026-11-26T09:00:00Z')).toBeCloseTo(9.2, 5);
		expect(() => planQueue(input({ cells: [{ id: 'a', capacityAh: 100, testBy: 'soon' }] }))).toThrow(
			/testBy requires/
		);
	});
	it('follows daylight saving: people get up at seven by their own clock before and after the change', () => {
		// In Paris the clocks go back on 25 Oct 2026 at 3:00, and forward on 28 Mar 2027 at 2:00.
		const mornings = (startAt: string) =>
			planQueue(
				input({
					startAt,
					timeZone: 'Europe/Paris',
					waking: { from: '07:00', to: '18:00' },
					testers: [{ id: 't', currentA: 10 }]
				})
			)
				.steps.filter((s) => s.kind === 'discharge')
				.map((s) => s.from.slice(11));
		for (const start of ['2026-10-23T08:00:00+02:00', '2027-03-26T08:00:00+01:00']) {
			const at = mornings(start);
			expect(at.length).toBe(4);
			for (const text of at) {
				const hourOfDay = Number(text.slice(0, 2)) + Number(text.slice(3, 5)) / 60;
				expect(hourOfDay).toBeGreaterThanOrEqual(7);
				expect(hourOfDay).toBeLessThanOrEqual(18);
			}
			expect(new Set(at.map((text) => text.slice(12))).size).toBe(2);
		}
		expect(() => planQueue(input({ timeZone: 'Nowhere/Land' }))).toThrow(/timeZone requires a name like/);
	});
	it('local time is the offset of the start', () => {
		const { steps } = planQueue(
			input({ startAt: '2026-11-26T23:30:00+02:00', cells: [{ id: 'a', capacityAh: 100, soc: 0.5 }] })
		);
		expect(steps[0]!.from).toBe('2026-11-27T07:00:00.000+02:00');
	});
	it('a timetable alone is that of the whole plan', () => {
		const cells = Array.from({ length: 100 }, (_, id) => ({ id, capacityAh: 100, soc: 0.5 }));
		const asked = input({ cells, unattendedDischarge: true });
		const steps = queueSteps(asked);
		expect(steps).toEqual(planQueue(asked).steps);
		expect(steps.filter((s) => s.kind === 'discharge').length).toBe(100);
	});
	it('a full cell is not charged first; a soak comes before everything', () => {
		const { steps } = planQueue(input({ cells: [{ id: 1, capacityAh: 50, soc: 1 }], soakH: 3, restH: 2 }));
		expect(steps.map((s) => s.kind)).toEqual(['soak', 'rest', 'discharge', 'store']);
		expect(hour(steps[2]!.from)).toBeCloseTo(5, 6);
	});
	it('says what would shorten it: the tester when it is the narrow place', () => {
		const { buy } = planQueue(
			input({ testers: [{ id: 't', currentA: 10 }], supplies: [{ id: 's', currentA: 60 }], unattendedDischarge: true })
		);
		expect(buy[0]!.what).toMatch(/another tester of 10 A/);
		expect(buy[0]!.savesH).toBeGreaterThan(8);
		expect(buy.some((b) => b.what === 'another supply of 60 A')).toBe(false);
	});
	it('holds its rules whatever comes, and never ends before its bound', () => {
		const cells = fc.array(
			fc.record({ capacityAh: fc.integer({ min: 20, max: 280 }), soc: fc.double({ min: 0, max: 1, noNaN: true }) }),
			{
				minLength: 1,
				maxLength: 12
			}
		);
		const amps = fc.array(fc.integer({ min: 20, max: 80 }), { minLength: 1, maxLength: 3 });
		fc.assert(
			fc.property(
				cells,
				amps,
				amps,
				fc.boolean(),
				fc.integer({ min: 0, max: 23 }),
				(own, testers, supplies, unattendedDischarge, at) => {
					const asked = input({
						cells: own.map((c, id) => ({ id, ...c })),
						testers: testers.map((currentA, id) => ({ id, currentA })),
						supplies: supplies.map((currentA, id) => ({ id, currentA })),
						startAt: `2026-11-26T${String(at).padStart(2, '0')}:00:00Z`,
						unattendedDischarge
					});
					const { steps, endsAt, boundEndsAt } = planQueue(asked);
					const dayHour = (iso: string) => new Date(iso).getUTCHours() + new Date(iso).getUTCMinutes() / 60;
					for (const kind of ['supply', 'tester'] as const) {
						const own = steps.filter((s) => s.on !== null && (s.kind === 'discharge') === (kind === 'tester'));
						for (const id of new Set(own.map((s) => s.on))) {
							const turns = own.filter((s) => s.on === id).sort((a, b) => Date.parse(a.from) - Date.parse(b.from));
							turns
								.slice(1)
								.forEach((s, i) => expect(Date.parse(s.from)).toBeGreaterThanOrEqual(Date.parse(turns[i]!.to)));
						}
					}
					for (const [id, c] of own.entries()) {
						const way = steps.filter((s) => s.cellId === id);
						expect(way.map((s) => s.kind).filter((k) => k !== 'rest')).toEqual(
							c.soc < 1 ? ['charge', 'discharge', 'store'] : ['discharge', 'store']
						);
						way.slice(1).forEach((s, i) => expect(Date.parse(s.from)).toBeGreaterThanOrEqual(Date.parse(way[i]!.to)));
					}
					for (const s of steps.filter((x) => x.needsPerson)) {
						expect(dayHour(s.from)).toBeGreaterThanOrEqual(7 - 0.02);
						expect(dayHour(s.from)).toBeLessThanOrEqual(22 + 0.02);
						if (s.kind === 'discharge' && !unattendedDischarge) expect(dayHour(s.to)).toBeLessThanOrEqual(22 + 0.02);
					}
					expect(Date.parse(endsAt)).toBe(Math.max(...steps.map((s) => Date.parse(s.to))));
					expect(Date.parse(boundEndsAt)).toBeLessThanOrEqual(Date.parse(endsAt));
					// Of itself, not only because it is cut off at what was found.
					expect(lowerBoundH(prepareQueue(asked))).toBeLessThanOrEqual(
						(Date.parse(endsAt) - Date.parse(asked.startAt)) / HOUR + 1e-5
					);
				}
			),
			{ numRuns: 60 }
		);
	});
	it.each([
		[{ testers: [] }, /testers requires/],
		[
			{
				cells: [
					{ id: 1, capacityAh: 100 },
					{ id: 1, capacityAh: 100 }
				]
			},
			/cells.1.id/
		],
		[{ waking: { from: 'seven', to: '22:00' } }, /waking.from/],
		[{ startAt: 'tomorrow' }, /startAt/],
		[{ cells: [{ id: 1, capacityAh: 400 }] }, /unattendedDischarge/],
		[{ cells: [{ id: 1, capacityAh: 40, soc: 30 }] }, /cells.0.soc/]
	] as [Partial<QueueInput>, RegExp][])('refuses %j', (more, message) =>
		expect(() => planQueue(input(more))).toThrow(message)
	);
});

describe('a soak in a warm box', () => {
	it('by hand: 4.5 kg at 0.5 W/K have a time constant of 2.5 h; from 15 K to within 1 K take ln 15 of those', () => {
		expect(soakHours(4.5, 15)).toBeCloseTo(2.5 * Math.log(15), 9);
		expect(soakHours(4.5, 1)).toBe(0);
		expect(soakHours(4.5, 0)).toBe(0);
		expect(soakHours(9, 15)).toBeCloseTo(2 * soakHours(4.5, 15), 9);
	});
	it('refuses a cell without mass', () => expect(() => soakHours(0, 10)).toThrow(/massKg/));
});
