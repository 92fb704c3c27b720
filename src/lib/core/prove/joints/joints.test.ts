import { describe, expect, it } from 'vitest';
import { judgeJoints, jointVerdicts, type JointsInput } from '.';

/** Four groups of 0.4 mΩ each (joint included); the third has 0.6 mΩ more. At 100 A out: 40 mV, and 100 mV. */
const base: JointsInput = {
	restV: [3.3, 3.301, 3.3, 3.302],
	loadV: [3.26, 3.261, 3.2, 3.262],
	currentA: -100,
	parallel: 1,
	meterSdV: 0.001
};

describe('joints from readings at rest and under load', () => {
	it('finds the one with 0.6 mΩ more than its like: 6 W at 100 A', () => {
		const joints = judgeJoints(base);
		expect(joints.map((j) => j.mOhm.likely.toFixed(3))).toEqual(['0.000', '0.000', '0.600', '0.000']);
		expect(joints[2]!.heatW).toBeCloseTo(6, 6);
		expect(joints[2]!.mOhm.low95).toBeGreaterThan(0.48);
		expect(joints[0]!.mOhm.low95).toBeLessThan(0);
		expect(jointVerdicts({ joints, currentA: -100 })).toMatchObject([
			{ code: 'joint-loose', warmth: 'stop', subject: { kind: 'group', label: 'Group 3' }, facts: { group: 3 } }
		]);
	});
	it('reads the same from a charge of the same current', () => {
		const loadV = base.restV.map((v, i) => v + (i === 2 ? 0.1 : 0.04));
		const joints = judgeJoints({ ...base, loadV, currentA: 100 });
		expect(joints[2]!.mOhm.likely).toBeCloseTo(0.6, 6);
	});
	it('names a current of the wrong sign', () => {
		expect(() => judgeJoints({ ...base, currentA: 100 })).toThrow(/fall under a current that is said to charge/);
		const rising = base.restV.map((v) => v + 0.04);
		expect(() => judgeJoints({ ...base, loadV: rising })).toThrow(/rise under a current that is said to discharge/);
	});
	it('says that a small current shows nothing, and how much it takes', () => {
		const loadV = base.restV.map((v, i) => v - (i === 2 ? 0.005 : 0.002));
		const joints = judgeJoints({ ...base, loadV, currentA: -5 });
		const [verdict] = jointVerdicts({ joints, currentA: -5 });
		expect(verdict).toMatchObject({ code: 'joints-unclear', warmth: 'open' });
		const { seesMohm, wantedA } = verdict!.facts as { seesMohm: number; wantedA: number };
		expect(seesMohm).toBeGreaterThan(0.6);
		expect(wantedA).toBeCloseTo((5 * seesMohm) / 0.25, 6);
	});
	it('near full, near empty or at unlike charge joints are not judged, and it says where they are', () => {
		const verdictAt = (restV: number[]) => {
			const loadV = restV.map((v, i) => v - (i === 2 ? 0.1 : 0.04));
			const joints = judgeJoints({ ...base, restV, loadV });
			return jointVerdicts({ joints, currentA: -100, rest: { restV, chemistry: 'LFP' } })[0]!;
		};
		expect(verdictAt(base.restV as number[]).code).toBe('joint-loose');
		for (const restV of [
			[3.345, 3.346, 3.344, 3.345],
			[3.21, 3.212, 3.211, 3.21],
			[3.3, 3.301, 3.278, 3.302]
		])
			expect(verdictAt(restV)).toMatchObject({ code: 'joints-hidden', warmth: 'look', facts: { suspects: [3] } });
		const even = [3.4, 3.4, 3.4, 3.4];
		const joints = judgeJoints({ ...base, restV: even, loadV: even.map((v) => v - 0.04) });
		const [calm] = jointVerdicts({ joints, currentA: -100, rest: { restV: even, chemistry: 'LFP' } });
		expect(calm).toMatchObject({ code: 'joints-hidden', warmth: 'open', facts: { suspects: [] } });
		const { fromV, toV } = verdictAt([3.4, 3.4, 3.4, 3.4]).facts as { fromV: number; toV: number };
		expect([fromV.toFixed(2), toV.toFixed(3)]).toEqual(['3.22', '3.338']);
	});
	it('a pack that is warmer at one end has no loose joint there: 0.40 to 0.49 mΩ from end to end, and one of 0.3 mΩ more is found all the same', () => {
		const ohms = Array.from({ length: 16 }, (_, g) => 0.0004 + 0.000006 * g);
		const read = (extra: number) => ({
			currentA: -100,
			parallel: 1,
			meterSdV: 0.0005,
			restV: ohms.map(() => 3.3),
			loadV: ohms.map((r, g) => 3.3 - 100 * (r + (g === 12 ? extra : 0)))
		});
		const even = judgeJoints(read(0));
		expect(Math.max(...even.map((j) => Math.abs(j.mOhm.likely)))).toBeLessThan(0.02);
		const loose = judgeJoints(read(0.0003));
		expect(loose[12]!.mOhm.likely).toBeCloseTo(0.3, 1);
		expect(loose[12]!.mOhm.low95).toBeGreaterThan(0.2);
		expect(loose[15]!.mOhm.low95).toBeLessThan(0.02);
	});
	it('calls even what is even, with what it could not have seen', () => {
		const loadV = base.restV.map((v) => v - 0.04);
		const joints = judgeJoints({ ...base, loadV });
		expect(jointVerdicts({ joints, currentA: -100 })).toMatchObject([{ code: 'joints-even', warmth: 'calm' }]);
	});
	it('is surer of more cells in parallel: they even each other out', () => {
		const width = (parallel: number) => {
			const { mOhm } = judgeJoints({ ...base, meterSdV: 0.0001, parallel })[0]!;
			return mOhm.high95 - mOhm.low95;
		};
		expect(width(4)).toBeLessThan(width(1));
	});
	it.each([
		[{ loadV: [3.2] }, /one value a group/],
		[{ restV: [3.3], loadV: [3.2] }, /two groups or more/],
		[{ currentA: 0 }, /requires a current/],
		[{ restV: [3.3, NaN, 3.3, 3.3] }, /restV.1/],
		[{ restV: [3.3, 33.01, 3.3, 3.302] }, /restV.1 requires a voltage like the other groups’, about 3.30 V/],
		[{ restV: [33, 33.01, 33, 33.02] }, /at most 5.1 V; got about 33.0 V/],
		[{ meterSdV: 0 }, /meterSdV/]
	])('refuses %j', (more, message) => expect(() => judgeJoints({ ...base, ...more })).toThrow(message));
});
