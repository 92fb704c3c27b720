import { describe, expect, it } from 'vitest';
import { judgePlanStage } from '../plan/judge';
import { judgeReceiveStage } from '../receive/judge';
import { NO_PLAN } from '../plan/bank-plan';
import { cell, delivery, picture, type PictureReading } from '../picture';

const rest = (value: number): PictureReading => ({
	id: 1,
	version: 1,
	value,
	sd: 0.001,
	rawText: `${value}`,
	restS: null,
	takenAt: '2026-03-02T00:00:00Z',
	takenDoubtS: null,
	meter: null
});
const tray = (value: number) =>
	picture([cell(1, [], { readings: { restVoltage: rest(value) }, arrivalRead: rest(value) })]);
const idle = (value: number, nowIso: string) =>
	judgeReceiveStage(tray(value), nowIso).verdicts.find((v) => v.code === 'cells-idle');

describe('cells that stand', () => {
	it('are asked about after a season, with what they may still hold', () => {
		expect(idle(3.29, '2026-05-20T00:00:00Z')).toBeUndefined();
		const verdict = idle(3.29, '2026-07-01T00:00:00Z')!;
		expect(verdict).toMatchObject({ warmth: 'open', facts: { cells: 1 } });
		// By hand: 121 days at 3 % a month are 12 %.
		expect(verdict.facts.chargeLow as number).toBeLessThan(0.3);
	});
	it('are looked at at once where they may be nearly empty', () =>
		expect(idle(3.2, '2026-07-01T00:00:00Z')!.warmth).toBe('look'));
	it('are nobody’s business where time is not told, in a rehearsal, and at work', () => {
		expect(judgeReceiveStage(tray(3.29)).verdicts.map((v) => v.code)).not.toContain('cells-idle');
		const own = tray(3.29);
		const of = (more: object) =>
			judgeReceiveStage({ ...own, bank: { ...own.bank, ...more } }, '2026-12-01T00:00:00Z').verdicts.map((v) => v.code);
		expect(of({ rehearsal: true })).not.toContain('cells-idle');
		expect(of({ inServiceOn: '2026-04-01' })).not.toContain('cells-idle');
	});
});

describe('what comes late', () => {
	it('a delivery is told by its days', () => {
		const late = picture([cell(1, [])], { deliveries: [{ ...delivery, promisedOn: '2026-02-20' }] });
		// By hand: 20 February to 1 March 2026.
		expect(judgeReceiveStage(late).verdicts.find((v) => v.code === 'delivery-late')!.facts.daysLate).toBeCloseTo(9, 6);
	});
	it('an order that nothing came of is asked about a week after its time', () => {
		const plan = { ...NO_PLAN, orderOn: '2026-03-01', cellLeadDays: 30 };
		const codes = (now: string) =>
			judgePlanStage(picture([], { deliveries: [] }), { plan, time: { nowMs: Date.parse(now) } }).verdicts.map(
				(v) => v.code
			);
		expect(codes('2026-04-05')).not.toContain('order-overdue');
		expect(codes('2026-04-20')).toContain('order-overdue');
	});
});
