import { describe, expect, it } from 'vitest';
import { CoreError } from '../shared';
import {
	balancerDays,
	followMethod,
	reboundV,
	refuseEntry,
	type MethodEntry,
	type MethodRun,
	type MethodSetup,
	type MethodKind,
	type MethodWorld
} from '.';

const world: MethodWorld = {
	...{ chemistry: 'LFP', chargeLimitV: 3.65, dischargeLimitV: 2.5, series: 4, groupAh: 100, cellAh: 100 },
	...{ meterSdV: 0.001, resistanceOhm: 0.0005, subject: { kind: 'bank', id: 1, label: 'B' } }
};
const cells = ['A1', 'A2', 'A3', 'A4'].map((label, i) => ({ id: i + 1, label, capacityAh: 100 }));
const H = 3_600_000;
const start = Date.parse('2026-11-01T08:00:00Z');
const at = (hours: number) => new Date(start + hours * H).toISOString();
let ids = 0;
const entry = (step: string, hours: number, more: Partial<MethodEntry> = {}): MethodEntry => ({
	...{ id: ++ids, version: 1, cellId: null, unit: null, step, doneAt: at(hours), voltageV: null, currentA: null },
	...{ ah: null, wh: null, hours: null, volts: null, asked: null, words: null, ...more }
});
const run = (method: MethodKind, entries: MethodEntry[], setup: MethodSetup = {}): MethodRun => ({
	...{ id: 1, version: 1, bankId: 1, method, cells, setup, startedAt: at(0), endedAt: null, entries }
});
const codes = (r: MethodRun, w = world) => followMethod(r, w).verdicts.map((v) => v.code);
const steps = (r: MethodRun, w = world) =>
	followMethod(r, w).next.map((n) => `${n.step} ${n.cell?.label ?? n.unit ?? ''}`.trim());

describe('at the bottom', () => {
	/** One cell through both stages; it ends at so many volts and rests at so many. */
	const through = (id: number, from: number, restedV = 2.95): MethodEntry[] => [
		entry('stage-1', from, { cellId: id, voltageV: 2.7, currentA: 40 }),
		entry('rested-1', from + 1, { cellId: id, voltageV: 2.98 }),
		entry('stage-2', from + 2, { cellId: id, voltageV: 2.7, currentA: 3 }),
		entry('rested-2', from + 14, { cellId: id, voltageV: restedV })
	];
	it('takes one cell at a time, in order, and lets the others wait for the load', () => {
		expect(steps(run('bottom', []))).toEqual(['stage-1 A1']);
		const first = run('bottom', [entry('stage-1', 0, { cellId: 1, voltageV: 2.7, currentA: 40 })]);
		expect(steps(first)).toEqual(['rested-1 A1', 'stage-1 A2']);
		expect(followMethod(first, world).next[0]!.from).toBe(at(1));
	});
	it('refuses the wrong turn, a repeat, a rest cut short and a figure left out, each with what is next', () => {
		const first = run('bottom', [entry('stage-1', 0, { cellId: 1, voltageV: 2.7, currentA: 40 })]);
		const refused = (step: string, hours: number, more: Partial<MethodEntry>) =>
			refuseEntry(first, world, entry(step, hours, more));
		expect(refused('stage-1', 1, { cellId: 3, voltageV: 2.7, currentA: 40 })?.message).toMatch(
			/not its turn for A3.*First/
		);
		expect(refused('stage-1', 1, { cellId: 1, voltageV: 2.7, currentA: 40 })?.message).toMatch(/A1 has had that step/);
		expect(refused('rested-1', 0.5, { cellId: 1, voltageV: 2.9 })).toMatchObject({ field: 'doneAt' });
		expect(refused('rested-1', 0.5, { cellId: 1, voltageV: 2.9 })?.message).toMatch(/30 min more/);
		expect(refused('rested-1', 1.5, { cellId: 1 })).toMatchObject({ field: 'voltageV' });
		expect(refused('rested-1', 1.5, { cellId: 1, voltageV: 2.9 })).toBeNull();
		expect(
			refuseEntry({ ...first, endedAt: at(2) }, world, entry('rested-1', 3, { cellId: 1, voltageV: 2.9 }))
		).toMatchObject({
			field: 'methodRunId'
		});
	});
	it('never takes a cell down again after its last rest without a question answered', () => {
		const high = run('bottom', through(1, 0, 3.12));
		expect(codes(high)).toContain('bottom-high');
		const again = followMethod(high, world).next.find((n) => n.step === 'again')!;
		expect(again.question).toMatch(/A1/);
		const entryOf = (asked: boolean | null) => entry('again', 20, { cellId: 1, voltageV: 2.7, currentA: 3, asked });
		expect(refuseEntry(high, world, entryOf(null))).toMatchObject({ field: 'asked' });
		expect(refuseEntry(high, world, entryOf(true))).toBeNull();
		// One that lies low is never offered it.
		expect(steps(run('bottom', through(1, 0, 2.93)))).not.toContain('again A1');
	});
	it('met when all lie together, apart when one clearly does not; then a day by which the empty set is charged', () => {
		const all = (lastV: number) => [1, 2, 3, 4].flatMap((id, i) => through(id, 3 * i, id === 4 ? lastV : 2.95));
		const together = followMethod(run('bottom', all(2.952)), world);
		expect(together.verdicts.map((v) => v.code)).toContain('bottom-met');
		expect(together.done).toBe(false);
		expect(codes(run('bottom', all(3.14)))).toContain('bottom-apart');
		// The first was empty two hours in: three days later, and it rings a day before.
		expect(together.verdicts.find((v) => v.code === 'empty-set')!.facts).toMatchObject({ chargeBy: at(2 + 72) });
		expect(together.due.map((d) => d.at)).toContain(at(2 + 48));
		const charging = run('bottom', [...all(2.952), entry('charge-began', 40, { currentA: 20 })]);
		expect(codes(charging)).not.toContain('empty-set');
		expect(followMethod(charging, world).done).toBe(true);
	});
	it('stops the first charge at a cell past its limit', () => {
		const all = [1, 2, 3, 4].flatMap((id, i) => through(id, 3 * i));
		const charging = [...all, entry('charge-began', 40, { currentA: 20 })];
		const watched = entry('first-charge', 41, { volts: [3.3, 3.31, 3.7, 3.3], currentA: 20 });
		const verdict = followMethod(run('bottom', [...charging, watched]), world).verdicts.find(
			(v) => v.warmth === 'stop'
		);
		expect(verdict).toMatchObject({ code: 'first-charge-over', facts: { place: 3 } });
	});
	it('comes back as the model says: more after a harder stage, and one that does not is named', () => {
		const gentle = reboundV('LFP', 100, 2.7, 3);
		const hard = reboundV('LFP', 100, 2.7, 50);
		expect(hard.likely).toBeGreaterThan(gentle.likely + 0.02);
		expect(gentle.low95).toBeGreaterThan(2.6);
		expect(gentle.low95).toBeLessThan(gentle.likely);
		expect(() => reboundV('LFP', 0, 2.7, 3)).toThrow(CoreError);
		expect(codes(run('bottom', through(1, 0, 3.2)))).toContain('bottom-odd-rebound');
	});
});

describe('fast', () => {
	const began = entry('began', 0, { currentA: 50 });
	const tripped = entry('tripped', 2, { volts: [3.44, 3.6, 3.42, 3.45], currentA: 20, ah: 90 });
	const links = (volts: number[], asked = true) => entry('links-read', 3, { volts, asked });
	it('locks joining from the first ampere until every link is proved off', () => {
		const locked = (entries: MethodEntry[]) => followMethod(run('fast', entries), world).locksJoining;
		expect(locked([])).toBe(false);
		expect(locked([began])).toBe(true);
		expect(locked([began, tripped])).toBe(true);
		expect(locked([began, tripped, links([6.62, 0, 0])])).toBe(true);
		expect(locked([began, tripped, links([0, 0])])).toBe(true);
		expect(locked([began, tripped, links([0, 0.02, 0], false)])).toBe(true);
		expect(locked([began, tripped, links([0, 0.02, 0])])).toBe(false);
		// What was read before the trip proves nothing after it.
		expect(locked([began, entry('links-read', 1, { volts: [0, 0, 0], asked: true }), tripped])).toBe(true);
	});
	it('names the first, what the others lack, and the hours that series has saved', () => {
		const { verdicts } = followMethod(run('fast', [began, tripped], { cellSupplyA: 20 }), world);
		const told = verdicts.find((v) => v.code === 'fast-tripped')!;
		// 90 Ah into four groups at once in 1.8 h at 50 A, against 360 Ah at 20 A.
		expect(told.facts).toMatchObject({ first: 2 });
		expect(told.facts.savedH).toBeCloseTo(18 - 1.8, 6);
		const { low95, high95 } = told.facts.missingAh as { low95: number; high95: number };
		expect(low95).toBeGreaterThanOrEqual(0);
		expect(high95).toBeGreaterThan(low95);
	});
	it('takes a volt for each group and no less: what is left out is asked for', () => {
		const short = refuseEntry(run('fast', [began]), world, entry('tripped', 2, { volts: [3.6, 3.5, 3.4] }));
		expect(short).toMatchObject({ field: 'volts' });
		expect(short!.message).toMatch(/takes 4 volts.*3 are/);
		expect(refuseEntry(run('fast', [began, tripped]), world, links([0, 0, 0, 0]))).toMatchObject({ field: 'volts' });
		expect(refuseEntry(run('balancer', []), world, entry('read', 1, { volts: [3.5] }))?.message).toMatch(/1 is/);
	});
	it('a trip below the knee is no full cell, and nothing is done by it', () => {
		const early = entry('tripped', 2, { volts: [3.32, 3.33, 3.31, 3.32] });
		const state = followMethod(run('fast', [began, early, links([0, 0, 0]), entry('finished', 5)]), world);
		expect(codes(run('fast', [began, early]))).toContain('fast-false-trip');
		expect(state.done).toBe(false);
	});
});

describe('by a balancer', () => {
	const near = (hours: number, volts: number[], step = 'read') => entry(step, hours, { volts, currentA: 1 });
	it('takes the Ah apart by what it moves a day; or never catches up', () => {
		// 2 Ah at 0.1 A for 4 h a day is five days; with 0.4 Ah a day parting them it never ends.
		const apart = { low95: 1, likely: 2, high95: 4 };
		expect(balancerDays(apart, { balancerA: 0.1, hoursADay: 4 })!.likely).toBeCloseTo(5, 9);
		expect(balancerDays(apart, { balancerA: 0.1, hoursADay: 4, growthAhADay: 0.4 })).toBeNull();
		expect(balancerDays(apart, {})).toBeNull();
		const read = near(0, [3.4, 3.55, 3.42, 3.41]);
		expect(codes(run('balancer', [read], { balancerA: 0.1, hoursADay: 4 }))).toContain('balancer-days');
		expect(codes(run('balancer', [read], { balancerA: 0.1, hoursADay: 1, growthAhADay: 1 }))).toContain(
			'balancer-never'
		);
		expect(codes(run('balancer', []))).toEqual(['balancer-not-read']);
	});
	it('is proved by a clamp: 0.4 of its own amperes is work, a tenth is not', () => {
		const clamp = (currentA: number) => codes(run('balancer', [entry('clamp', 1, { currentA })], { balancerA: 2 }));
		expect(clamp(1.9)).toContain('balancer-works');
		expect(clamp(-1.9)).toContain('balancer-works');
		expect(clamp(0.2)).toContain('balancer-idle');
	});
	it('is proved by a night off and a night on, or told to be unproved', () => {
		const night = (which: string, from: number, evening: number[], morning: number[]) => [
			near(from, evening, `${which}-evening`),
			near(from + 10, morning, `${which}-morning`)
		];
		const high = [3.4, 3.52, 3.4, 3.4];
		const setup = { balancerA: 0.3, hoursADay: 10 };
		const off = night('off', 0, high, high);
		expect(codes(run('balancer', [...off, ...night('on', 24, high, [3.4, 3.4, 3.4, 3.4])], setup))).toContain(
			'balancer-works'
		);
		expect(codes(run('balancer', [...off, ...night('on', 24, high, high)], setup))).toContain('balancer-idle');
		// Two hours are no night.
		const short = [near(24, high, 'on-evening'), near(26, [3.4, 3.4, 3.4, 3.4], 'on-morning')];
		expect(codes(run('balancer', [...off, ...short], setup)).filter((c) => /works|idle|unproved/.test(c))).toEqual([]);
	});
	it('fits or does not: chemistry, count, leads, where it starts', () => {
		expect(codes(run('balancer', [], { madeFor: 'NMC' }))).toContain('balancer-unfit');
		expect(codes(run('balancer', [], { leastSeries: 8 }))).toContain('balancer-unfit');
		expect(codes(run('balancer', [], { startV: 3.2 }))).toContain('balancer-starts-low');
		expect(codes(run('balancer', [], { startV: 3.45, stopV: 3.3 }))).toContain('balancer-starts-low');
		expect(codes(run('balancer', [], { startV: 3.45 }))).not.toContain('balancer-starts-low');
		// 2 A through 5 mΩ twice, and 0.5 mΩ of the cell: 21 mV.
		const leads = { balancerA: 2, leadOhm: 0.005 };
		expect(codes(run('balancer', [], { ...leads, triggerV: 0.02 }))).toContain('balancer-leads');
		expect(codes(run('balancer', [], { ...leads, triggerV: 0.022 }))).not.toContain('balancer-leads');
	});
	it('smoke stops all else until somebody has said what was found', () => {
		const smoke = run('balancer', [entry('smoke', 1)]);
		expect(followMethod(smoke, world)).toMatchObject({ verdicts: [{ code: 'balancer-smoke', warmth: 'stop' }] });
		expect(steps(smoke)).toEqual(['made-safe']);
		expect(
			codes(run('balancer', [entry('smoke', 1), entry('made-safe', 2, { words: 'a lead chafed' })]))
		).not.toContain('balancer-smoke');
	});
});

describe('ready-made batteries', () => {
	const setup = { units: ['Left', 'Right'], unitAh: 100, unitCells: 4 };
	const unit = (step: string, name: string, more: Partial<MethodEntry> = {}, hours = 0) =>
		entry(step, hours, { unit: name, ...more });
	const read = [unit('rest', 'Left', { voltageV: 13.2 }), unit('rest', 'Right', { voltageV: 13.21 })];
	it('are read, joined with a question, charged, and only then compared', () => {
		expect(codes(run('ready-made', [], setup))).toEqual(['units-unread']);
		const joinable = followMethod(run('ready-made', read, setup), world);
		expect(joinable.verdicts.map((v) => v.code)).toEqual(['join-checked']);
		expect(joinable.next.find((n) => n.step === 'joined')!.question).toMatch(/polarity/);
		const far = [read[0]!, unit('rest', 'Right', { voltageV: 14 })];
		expect(steps(run('ready-made', far, setup))).not.toContain('joined');
		const turned = [read[0]!, unit('rest', 'Right', { voltageV: -13.2 })];
		expect(codes(run('ready-made', turned, setup))).toEqual(['join-polarity']);
	});
	it('gain is told where load and end were alike, both in Ah and in Wh', () => {
		const test = (step: string, ah: number, currentA = 20, wh: number | null = ah * 12.8) =>
			entry(step, step === 'before' ? 1 : 30, { ah, wh, currentA, voltageV: 10.5 });
		const full = entry('full', 20, { voltageV: 14.4, currentA: 4 });
		const all = (before: MethodEntry, after: MethodEntry) =>
			codes(run('ready-made', [...read, before, full, after], setup));
		expect(all(test('before', 88), test('after', 97))).toContain('gain-made');
		expect(all(test('before', 97), test('after', 97.3))).toContain('gain-unproved');
		expect(all(test('before', 88), test('after', 97, 40))).toContain('gain-not-comparable');
		expect(all(test('before', 88, 20, null), test('after', 97))).toContain('gain-not-comparable');
	});
	it('names who stopped it, and how often to level them again', () => {
		const full = entry('full', 0, { voltageV: 14.4, currentA: 4 });
		const trips = [
			unit('low-trip', 'Right', {}, 10),
			unit('low-trip', 'Right', {}, 40),
			unit('low-trip', 'Left', {}, 60)
		];
		const after = entry('series-full', 24 * 30.4 * 3, { volts: [14.2, 13.6], currentA: 1 });
		const told = followMethod(run('ready-made', [...read, full, ...trips, after], setup), world).verdicts;
		expect(told.find((v) => v.code === 'unit-trips')!.facts).toMatchObject({
			unit: 'Right',
			times: 2,
			of: 3,
			end: 'empty'
		});
		expect(told.some((v) => v.code === 'repeat-in' || v.code === 'units-apart')).toBe(true);
	});
});
