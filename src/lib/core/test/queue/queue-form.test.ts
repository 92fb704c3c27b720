import { describe, expect, it } from 'vitest';
import { planQueue } from './plan-queue';
import { clockOf, queueForm, queueOf, queueParams } from './queue-form';

const usual = { testers: 2, nowLocal: '2026-11-26T09:00' };

describe('testers nobody has described', () => {
	it('take what the plan says a tester delivers', () => {
		const form = (testA: number | null) =>
			queueForm(new URLSearchParams(), { testers: 2, nowLocal: '2026-11-26T08:00', testA }).testers;
		expect(form(10.5)).toEqual([10.5, 10.5]);
		expect(form(null)).toEqual([20, 20]);
	});
});

describe('claims', () => {
	it('give each cell its day, and those of which something was seen come first', () => {
		const form = queueForm(new URLSearchParams(), { testers: 1, nowLocal: '2026-11-26T08:00' });
		const { cells } = queueOf(form, {
			waiting: [{ id: 1 }, { id: 2 }, { id: 3 }],
			ratedAh: 280,
			wakeFromH: 7,
			wakeUntilH: 22,
			offset: '+01:00',
			claims: [
				{ id: 1, claimUntil: '2026-12-01', odd: false },
				{ id: 3, claimUntil: '2026-12-01', odd: true }
			]
		});
		expect(cells).toEqual([
			{ id: 3, capacityAh: 280, testBy: '2026-12-01' },
			{ id: 1, capacityAh: 280, testBy: '2026-12-01' },
			{ id: 2, capacityAh: 280 }
		]);
	});
});

describe('what a queue is planned with', () => {
	it('goes into an address and comes back', () => {
		const form = {
			testers: [20, 5.5],
			supplies: [30],
			soakH: 12,
			restH: 1.5,
			unattended: true,
			startAt: '2026-12-01T08:00',
			full: [4, 9],
			back: [7]
		};
		expect(queueForm(queueParams(form), usual)).toEqual(form);
	});
	it('is as usual where nothing, or nonsense, is said', () =>
		expect(queueForm(new URLSearchParams('testers=x&supplies=-3&soakH=-1&startAt=soon'), usual)).toEqual({
			testers: [20, 20],
			supplies: [20],
			soakH: 0,
			restH: 1,
			unattended: false,
			startAt: '2026-11-26T09:00',
			full: [],
			back: []
		}));
});

describe('a queue asked for', () => {
	const form = queueForm(new URLSearchParams(), usual);
	const day = { ratedAh: 280, wakeFromH: 7, wakeUntilH: 22.5, offset: '+01:00' };
	it('has times of day in whole minutes, never sixty of them', () => {
		expect([0, 7, 7.5, 7.999, 22.25, 24].map(clockOf)).toEqual(['00:00', '07:00', '07:30', '08:00', '22:15', '00:00']);
	});
	it('names cells by their ids, so that two of one label are two', () => {
		const queue = queueOf(form, { ...day, waiting: [{ id: 4 }, { id: 9 }] });
		expect(queue).toMatchObject({
			cells: [
				{ id: 4, capacityAh: 280 },
				{ id: 9, capacityAh: 280 }
			],
			waking: { from: '07:00', to: '22:30' },
			startAt: '2026-11-26T09:00:00+01:00'
		});
		expect(new Set(planQueue(queue).steps.map((s) => s.cellId))).toEqual(new Set([4, 9]));
	});
	it('a cell that went ahead of the plan is not charged again, and nothing takes longer for it', () => {
		const waiting = [{ id: 4 }, { id: 9 }];
		const before = planQueue(queueOf(form, { ...day, waiting }));
		const ahead = planQueue(queueOf({ ...form, full: [9] }, { ...day, waiting }));
		expect(ahead.steps.filter((s) => s.cellId === 9).map((s) => s.kind)).not.toContain('charge');
		expect(ahead.steps.filter((s) => s.cellId === 4).map((s) => s.kind)).toContain('charge');
		expect(Date.parse(ahead.endsAt)).toBeLessThanOrEqual(Date.parse(before.endsAt));
	});
	it('a tested cell that stands empty goes back to half before anything else, and only that is done with it', () => {
		const day2 = {
			...day,
			waiting: [{ id: 4 }],
			tested: [
				{ id: 7, capacityAh: 281 },
				{ id: 8, capacityAh: 279 }
			]
		};
		const { steps, endsAt, boundEndsAt } = planQueue(queueOf({ ...form, back: [7] }, day2));
		expect(steps.filter((s) => s.cellId === 7).map((s) => s.kind)).toEqual(['store']);
		expect(steps.some((s) => s.cellId === 8)).toBe(false);
		expect(steps.find((s) => s.on === 'Supply 1')).toMatchObject({ cellId: 7 });
		expect(Date.parse(boundEndsAt)).toBeLessThanOrEqual(Date.parse(endsAt));
	});
	it('where all are tested, what is left is the way back: half of 200 Ah at 20 A is five hours', () => {
		const queue = queueOf({ ...form, back: [7] }, { ...day, waiting: [], tested: [{ id: 7, capacityAh: 200 }] });
		const { endsAt, boundEndsAt } = planQueue(queue);
		expect(Date.parse(endsAt) - Date.parse(queue.startAt)).toBe(5 * 3_600_000);
		expect(boundEndsAt).toBe(endsAt);
	});
	it('takes time as UTC where nobody says, and a usual capacity where no type is named', () => {
		const queue = queueOf(form, { ...day, waiting: [{ id: 1 }], ratedAh: null, offset: 'soon' });
		expect(queue.startAt).toBe('2026-11-26T09:00:00Z');
		expect(queue.cells[0]!.capacityAh).toBe(100);
	});
});
