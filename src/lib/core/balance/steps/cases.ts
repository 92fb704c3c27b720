import { followMethod } from './follow';
import type { MethodEntry, MethodKind, MethodRun, MethodSetup, MethodWorld } from '../../picture';

/** What the tests of the methods are told by: a bank of four cells of 100 Ah, and entries by the hour. */
export const world: MethodWorld = {
	chemistry: 'LFP',
	chargeLimitV: 3.65,
	dischargeLimitV: 2.5,
	series: 4,
	groupAh: 100,
	cellAh: 100,
	meterSdV: 0.001,
	resistanceOhm: 0.0005,
	subject: { kind: 'bank', id: 1, label: 'B' }
};
const cells = ['A1', 'A2', 'A3', 'A4'].map((label, i) => ({ id: i + 1, label, capacityAh: 100 }));
const H = 3_600_000;
const start = Date.parse('2026-11-01T08:00:00Z');
export const at = (hours: number) => new Date(start + hours * H).toISOString();
let ids = 0;
export const entry = (step: string, hours: number, more: Partial<MethodEntry> = {}): MethodEntry => ({
	id: ++ids,
	version: 1,
	cellId: null,
	unit: null,
	step,
	doneAt: at(hours),
	voltageV: null,
	currentA: null,
	ah: null,
	wh: null,
	volts: null,
	asked: null,
	words: null,
	...more
});
export const run = (method: MethodKind, entries: MethodEntry[], setup: MethodSetup = {}): MethodRun => ({
	id: 1,
	version: 1,
	bankId: 1,
	method,
	cells,
	setup,
	startedAt: at(0),
	endedAt: null,
	entries
});
export const codes = (r: MethodRun, w = world) => followMethod(r, w).verdicts.map((v) => v.code);
export const steps = (r: MethodRun, w = world) =>
	followMethod(r, w).next.map((n) => `${n.step} ${n.cell?.label ?? n.unit ?? ''}`.trim());
