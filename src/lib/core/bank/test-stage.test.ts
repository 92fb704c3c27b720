import { describe, expect, it } from 'vitest';
import { bankCapacities, protocolStrip } from '../test/capacities';
import { buildRefusals } from '../match/state';
import { judgeReceiveStage } from '../receive/judge';
import { judgeTestStage } from '../test/judge';
import { cell, clause, delivery, picture, run, type Clause, type BankPicture, type PictureRun } from '../picture';

const only = (own: BankPicture) => bankCapacities(own)[0]!;
const states = (own: BankPicture) =>
	Object.fromEntries(protocolStrip(own, only(own)).map(({ asked, state }) => [asked, state]));

describe('a run held to its clause', () => {
	it('that was made by its conditions is not corrected at all, and its strip is all kept', () => {
		const own = picture([cell(1, [run()])]);
		expect(only(own).correction).toMatchObject({ fraction: 0, standardC: 20 });
		expect(only(own).capacityAh).toBeCloseTo(284, 9);
		expect([...new Set(Object.values(states(own)))]).toEqual(['kept']);
	});
	it('colder than the clause is brought to the clause, not to 25 °C; strip and figure say the same', () => {
		const own = picture([cell(1, [run({ temperatureC: 14 })])]);
		const to25 = picture([cell(1, [run({ temperatureC: 14 })])], { clauses: [{ ...clause, temperatureC: 25 }] });
		expect(states(own).temperature).toBe('corrected');
		expect(only(own).correction!.fraction).toBeGreaterThan(0);
		expect(only(own).correction!.fraction).toBeLessThan(only(to25).correction!.fraction);
	});
	it('so cold that its correction is refused is void in the strip, and has no capacity', () => {
		const own = picture([cell(1, [run({ temperatureC: 0 })])]);
		expect(states(own).temperature).toBe('void');
		expect(only(own)).toMatchObject({ capacityAh: null, refused: { why: 'conditions' } });
	});
	it('of the kind its delivery was promised by, where there are several', () => {
		const typical: Clause = { ...clause, kind: 'typical', capacityAh: 290, temperatureC: 25 };
		const promised = { ...delivery, promisedClause: 'typical' as const };
		const own = picture([cell(1, [run()])], { clauses: [clause, typical], deliveries: [promised] });
		expect(only(own).correction!.standardC).toBe(25);
		expect(only(own).judgement!.ratedAh).toBe(290);
	});
	it('a correction switched off is doubt; a tester’s switched off is learnt from by nobody', () => {
		const cold = run({ temperatureC: 14 });
		const on = only(picture([cell(1, [cold])]));
		const off = only(picture([cell(1, [{ ...cold, correctionsOff: ['temperature'] }])]));
		expect(off.capacityAh).toBeCloseTo(284, 9);
		expect(off.sdAh!).toBeGreaterThan(on.sdAh!);
		const two = [run({ capacityAh: 290, sdAh: 2.9 }), run({ id: 2, tester: 'B' })];
		const alone = two.map((r) => ({ ...r, correctionsOff: ['tester' as const] }));
		const withB = (runs: PictureRun[]) => picture([cell(1, runs), cell(2, [run({ id: 3, tester: 'B' })])]);
		const sdOfSecond = (own: BankPicture) => bankCapacities(own)[1]!.sdAh!;
		// Two testers on one cell tell of the other cell's tester, unless that is switched off.
		expect(sdOfSecond(withB(two))).toBeLessThan(sdOfSecond(withB(alone)));
	});
	it('two wires made it miss what the curve says, and it is added', () => {
		const own = only(picture([cell(1, [run({ leadOhm: 0.002 })])]));
		const drop = own.correction!.steps.find((s) => s.correction === 'drop')!;
		// 140 A through 2 mΩ are 0.28 V.
		expect(drop.factor).toBeGreaterThan(1.002);
		expect(own.capacityAh!).toBeCloseTo(284 * drop.factor, 6);
	});
	it('a calibrated tester is no longer doubted by its usual per cent', () => {
		const known = { quantity: 'capacity' as const, meter: 'A', calibratedOn: '2026-03-08', truthSd: 0.4 };
		const own = only(
			picture([cell(1, [run()])], { testerCalibrations: [{ ...known, pairs: [{ shown: 285, truth: 280 }] }] })
		);
		// A factor, not an offset: 284 Ah by a tester that shows 285 for 280.
		expect(own.capacityAh).toBeCloseTo((284 * 280) / 285, 6);
		expect(own.sdAh!).toBeLessThan(1.2);
	});
	it('names the run that decides most only while something is undecided', () => {
		const codes = (ah: number) =>
			judgeTestStage(picture([cell(1, [run({ capacityAh: ah })])])).verdicts.map((v) => v.code);
		expect(codes(279)).toContain('next-run');
		expect(codes(300)).not.toContain('next-run');
	});
});

describe('what is to be built together', () => {
	const mixed = [cell(1, [run()], { batch: 'K1' }), cell(2, [run({ id: 2 })], { batch: 'K2' })];
	it('batches that differ ask before it is built, and are only said in service', () => {
		const warmthOf = (own: BankPicture) =>
			judgeReceiveStage(own).verdicts.find((v) => v.code === 'cells-unlike')!.warmth;
		expect(warmthOf(picture(mixed))).toBe('look');
		const served = picture(mixed);
		expect(warmthOf({ ...served, bank: { ...served.bank, inServiceOn: '2026-05-01' } })).toBe('calm');
	});
	it('a cell that leaks is refused by its own stop, cells nobody knows anything of by nothing', () => {
		const leaks = cell(2, [run({ id: 2 })], { inspection: { leak: 'bad' } });
		expect(buildRefusals(picture([cell(1, [run()]), leaks]), [[1], [2]])).toEqual([
			{ why: 'stopped', cellIds: [2], found: 'X-02' }
		]);
		expect(buildRefusals(picture([cell(1, []), cell(2, [])]), [[1], [2], [77]])).toEqual([]);
	});
	it('a test of self-discharge that has ended is told as ended, also where no capacity is known', () => {
		const storageTest = {
			chargedAt: '2026-03-01',
			dueOn: '2026-04-01',
			refillAh: 5,
			refillSdAh: 0.2,
			refilledAt: '2026-03-31'
		};
		const codes = (own: BankPicture) => judgeReceiveStage(own).verdicts.map((v) => v.code);
		expect(codes(picture([cell(1, [run()], { storageTest })]))).toContain('self-discharge-usual');
		const unknown = codes(picture([cell(1, [], { storageTest })], { cellType: null, clauses: [] }));
		expect(unknown).toContain('self-discharge-unknown');
		expect(unknown).not.toContain('self-discharge-waits');
	});
});

describe('a run that an instrument counted', () => {
	const calibration = {
		quantity: 'capacity' as const,
		meter: 'A',
		calibratedOn: '2026-03-09T00:00:00Z',
		truthSd: 0.2,
		pairs: [{ shown: 102, truth: 100 }]
	};
	const ah = (more: Partial<PictureRun>, own: Partial<BankPicture> = {}) =>
		only(picture([cell(1, [run({ capacityAh: 284, ...more })])], own)).capacityAh!;
	it('is judged by what the instrument is known to show too much, whenever that was found', () =>
		// By hand: a load that shows 2 % too much.
		expect(ah({ shownTooMuch: 0.02 }) / ah({})).toBeCloseTo(1 / 1.02, 9));
	it('by a comparison in Ah alone where there is one: the same fault is not taken out twice', () =>
		expect(ah({ shownTooMuch: 0.02 }, { testerCalibrations: [calibration] })).toBeCloseTo(
			ah({}, { testerCalibrations: [calibration] }),
			9
		));
	it('and as shown where its tester’s correction is switched off', () =>
		expect(ah({ shownTooMuch: 0.02, correctionsOff: ['tester'] })).toBeCloseTo(ah({ correctionsOff: ['tester'] }), 9));
});
