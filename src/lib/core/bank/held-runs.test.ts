import { describe, expect, it } from 'vitest';
import { bankCapacities, heldCapacities } from '../test/capacities';
import { judgeTestStage } from '../test/judge';
import { cell, picture, run } from '../picture';

/** 0.5 C in the room at 25 °C and in the cold, by one tester. */
const warm = (id: number, capacityAh: number) => run({ id, capacityAh, sdAh: 0.01 * capacityAh, temperatureC: 25 });
const cold = (id: number, capacityAh: number, temperatureC = 0) =>
	run({ id, capacityAh, sdAh: 0.01 * capacityAh, temperatureC, heldAtC: 0 });
const tray = (colds: (number | null)[]) =>
	picture(colds.map((ah, i) => cell(i + 1, [warm(i + 1, 284)], ah === null ? {} : { heldRuns: [cold(i + 101, ah)] })));

describe('runs at a temperature that was chosen', () => {
	it('neither lower nor refuse a cell’s capacity: its rating is judged by the run in the room', () => {
		const own = tray([244, 246, 245, 225]);
		expect(bankCapacities(own).map((c) => c.capacityAh)).toEqual(
			bankCapacities(tray([null, null, null, null])).map((c) => c.capacityAh)
		);
		expect(judgeTestStage(own).verdicts.map((v) => v.code)).not.toContain('correction-refused');
	});
	it('are told together, and the one that falls behind is named', () => {
		const { verdicts } = judgeTestStage(tray([244, 246, 245, 225]));
		const told = verdicts.find((v) => v.code === 'at-temperatures')!;
		expect(told).toMatchObject({ warmth: 'calm', facts: { at: [{ temperatureC: 0, cells: 4, compared: 4 }] } });
		expect(told.finding).toMatch(/^At 0 °C 4 cells: 7\d to 8\d % of what they give at 25 °C \(usual 79 to 96 %\)/);
		expect(verdicts.filter((v) => v.code === 'weak-at-temperature').map((v) => v.subject.id)).toEqual([4]);
	});
	it('a cell alone is told by itself, and asked for a run in the room where it has none', () => {
		const own = picture([cell(1, [], { heldRuns: [cold(1, 244)] })]);
		const told = judgeTestStage(own).verdicts.find((v) => v.code === 'at-temperatures')!;
		expect(told.finding).toContain('none of which was run in the room');
		expect(told.next).toContain('Run these cells once in the room');
		expect(heldCapacities(own, 1)[0]).toMatchObject({ temperatureC: 0, share: null });
	});
	it('one that was not at its temperature, or not run to its end, compares with nothing', () => {
		const missed = picture([cell(1, [warm(1, 284)], { heldRuns: [cold(2, 270, 15)] })]);
		expect(judgeTestStage(missed).verdicts.map((v) => v.code)).toContain('temperature-missed');
		const half = picture([cell(1, [warm(1, 284)], { heldRuns: [{ ...cold(2, 120), startedFull: false }] })]);
		expect(heldCapacities(half, 1)).toEqual([]);
	});
});
