import { describe, expect, it } from 'vitest';
import { completeCell, simulateDischarge } from '../../world/cell-model';
import { remainingS, type LivePhase } from '.';
import { discharge, planned, run, sample } from './cases';

/** A cell of so many Ah, rated 100 Ah, discharged at 20 A from so full, and what is left so long before its cut-off. */
function before(endS: number, capacityAh: number, soc = 1) {
	const parameters = completeCell({ chemistry: 'LFP', capacityAh });
	const { timeS, voltageV } = simulateDischarge({ parameters, soc }, 20, 2.5, 5, 60);
	const until = timeS.at(-1)! - endS;
	const samples = timeS
		.flatMap((t, k) => (t <= until ? [sample(t, { currentA: -20, voltageV: voltageV[k]!, cellV: voltageV[k]! })] : []))
		.filter((_, k, all) => k % 10 === 0 || k === all.length - 1);
	const { state, events } = run([discharge], samples, 100, false, 'LFP');
	const told = (state.last!.atMs - samples[0]!.atMs) / 1000;
	return { left: remainingS(planned([discharge], 100, 'LFP'), state)!, trueS: timeS.at(-1)! - told, events };
}

describe('time to the end of a discharge', () => {
	it('is short at the knee of a cell that holds less than it should', () => {
		// 86 of 100 Ah: by the count alone there would be 12 Ah and more, over half an hour.
		const { left, trueS } = before(300, 86);
		expect(left.low).toBeLessThan(trueS);
		expect(left.high).toBeGreaterThan(trueS);
		expect(left.high).toBeLessThan(1800);
	});
	it('is not over while the voltage still says plateau, however much the cell has given', () => {
		const { left, trueS } = before(3600, 130);
		expect(left.low).toBeGreaterThan(600);
		expect(left.high).toBeGreaterThan(trueS);
	});
	it('notices a discharge that did not begin full', () => {
		const { left, trueS } = before(1200, 100, 0.4);
		expect(left.high).toBeGreaterThan(trueS);
		expect(left.high).toBeLessThan(2 * 3600);
	});
	it('tells a person in time', () => {
		expect(before(60, 86).events.map((e) => e.kind)).toContain('soon');
		expect(before(7200, 100).events.map((e) => e.kind)).not.toContain('soon');
	});
	it('takes what a meter at the cell shows of the leads', () => {
		const at = (cellV: number | null) =>
			remainingS(
				planned([discharge], 100, 'LFP'),
				run([discharge], [sample(0, { currentA: -20, voltageV: 2.9, cellV })], 100, false, 'LFP').state
			)!;
		// 0.2 V of leads: the cell stands at 3.1 V, and the load stops it at 2.7 V.
		expect(at(3.1).high).toBeGreaterThan(at(2.92).high);
	});
});

describe('time to the end of a charge', () => {
	const charge: LivePhase = { kind: 'charge', voltageV: 3.6, currentA: 20, tailA: 2, holdS: 1800 };
	const at = (voltageV: number) =>
		remainingS(
			planned([charge], 100, 'LFP'),
			run([charge], [sample(0, { currentA: 20, voltageV, cellV: voltageV })], 100, false, 'LFP').state
		)!;
	it('needs no knowledge of where it began once it climbs', () => {
		// 3.48 V at 0.2 C: full but for a few per cent, then a taper and the hold.
		expect(at(3.48).high).toBeLessThan(1800 + 0.25 * 5 * 3600 + 0.1 * 5 * 3600);
		expect(at(3.48).low).toBeGreaterThanOrEqual(1800);
	});
	it('and is wide on the plateau', () => {
		expect(at(3.34).high - at(3.34).low).toBeGreaterThan(2 * 3600);
	});
});
