import { describe, expect, it } from 'vitest';
import { EVIDENCE, undoneBy, type BatteryChange } from '.';

const battery = { id: 7 };
const READ = '2026-03-01T10:00:00Z';
const change = (kind: BatteryChange['kind'], more: Partial<BatteryChange> = {}): BatteryChange => ({
	batteryId: 7,
	at: '2026-03-02T10:00:00Z',
	kind,
	positions: [],
	out: null,
	into: null,
	...more
});
const undone = (c: BatteryChange) => EVIDENCE.filter((e) => undoneBy({ changes: [c] }, battery, e, READ) !== null);

describe('a proof rests on what it was made with', () => {
	it('an exchanged cell undoes all of them, and so does one that was taken out', () => {
		expect(undone(change('cell-exchanged', { positions: [3] }))).toEqual([...EVIDENCE]);
		expect(undone(change('cell-taken-out', { positions: [3] }))).toEqual([...EVIDENCE]);
	});
	it.each([
		['lead-moved', ['leads', 'bms']],
		['bms-changed', ['leads', 'bms', 'counters']],
		['joint-opened', ['torques', 'joints']]
	] as const)('%s undoes %j and nothing else', (kind, evidence) => expect(undone(change(kind))).toEqual(evidence));
	it('stands against what was done before it, and in another battery', () => {
		expect(undone(change('cell-exchanged', { at: '2026-02-28T10:00:00Z' }))).toEqual([]);
		expect(undone(change('cell-exchanged', { batteryId: 8 }))).toEqual([]);
	});
	it('a torque falls with its own joint: those below and above an exchanged cell, or the one that was opened', () => {
		const joints = (c: BatteryChange) =>
			[0, 1, 2, 3, 4].filter((k) => undoneBy({ changes: [c] }, battery, 'torques', READ, k));
		expect(joints(change('cell-exchanged', { positions: [3] }))).toEqual([2, 3]);
		expect(joints(change('joint-opened', { positions: [1] }))).toEqual([1]);
		expect(joints(change('joint-opened'))).toEqual([0, 1, 2, 3, 4]);
	});
	it('names the latest of several', () => {
		const late = change('cell-taken-out', { at: '2026-04-01T10:00:00Z' });
		const changes = [change('cell-exchanged'), late, change('cell-exchanged', { at: '2026-03-20T10:00:00Z' })];
		expect(undoneBy({ changes }, battery, 'leads', READ)).toBe(late);
	});
});
