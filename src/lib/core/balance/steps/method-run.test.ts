import { describe, expect, it } from 'vitest';
import { CoreError } from '../../foundation/errors';
import { followMethod, reboundV, refuseEntry } from '.';
import type { MethodEntry } from '../../picture';
import { world, at, entry, run, codes, steps } from './cases';

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
		// Begun is not done: the first charge is watched, and nothing is found in it.
		expect(followMethod(charging, world).done).toBe(false);
		const watched = entry('first-charge', 41, { volts: [3.31, 3.312, 3.311, 3.31], currentA: 20 });
		expect(followMethod(run('bottom', [...charging.entries, watched]), world).done).toBe(true);
	});
	it('a cell that may be discharged once more is named, has its form, and the server takes it; no other cell is', () => {
		const all = [1, 2, 3, 4].flatMap((id, i) => through(id, 3 * i, id === 4 ? 3.14 : 2.95));
		const apart = run('bottom', all);
		const { verdicts, next } = followMethod(apart, world);
		const verdict = verdicts.find((v) => v.code === 'bottom-apart')!;
		expect(verdict).toMatchObject({
			facts: { fullest: 'A4' },
			next: expect.stringContaining('discharge A4 once more')
		});
		expect(next.filter((n) => n.step === 'again').map((n) => n.cell?.label)).toEqual(['A4']);
		const more = { voltageV: 2.7, currentA: 3, asked: true };
		expect(refuseEntry(apart, world, entry('again', 40, { cellId: 4, ...more }))).toBeNull();
		expect(refuseEntry(apart, world, entry('again', 40, { cellId: 1, ...more }))).not.toBeNull();
	});
	it('remarks a gentle stage at six times the current that was asked', () => {
		const asked = 0.03 * world.cellAh;
		const at6 = (currentA: number) =>
			followMethod(
				run('bottom', [...through(1, 0).slice(0, 2), entry('stage-2', 2, { cellId: 1, voltageV: 2.7, currentA })]),
				world
			).verdicts.find((v) => v.code === 'bottom-too-fast');
		expect(at6(6 * asked)).toMatchObject({
			warmth: 'look',
			subject: { id: 1 },
			facts: { askedA: expect.closeTo(asked, 6) }
		});
		expect(at6(1.2 * asked)).toBeUndefined();
	});
	it('never calls met what lies below its limit, or the wrong way round: that stops it', () => {
		for (const restedV of [1.9, -0.4]) {
			const all = [1, 2, 3, 4].flatMap((id, i) => through(id, 3 * i, id === 2 ? restedV : 2.6));
			const state = followMethod(run('bottom', all), world);
			expect(state.verdicts[0]).toMatchObject({ code: 'bottom-too-deep', warmth: 'stop', subject: { id: 2 } });
			expect(state.verdicts.map((v) => v.code)).not.toContain('bottom-met');
		}
	});
	it('refuses volts that no cell has', () => {
		const slipped = refuseEntry(
			run('bottom', []),
			world,
			entry('stage-1', 1, { cellId: 1, voltageV: 27, currentA: 40 })
		);
		expect(slipped).toMatchObject({ field: 'voltageV' });
		expect(slipped!.message).toMatch(/decimal point/);
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
	it('a set that has not all rested is charged only after a question, and never as what is next', () => {
		const early = followMethod(
			run('bottom', [1, 2, 3].flatMap((id) => through(id, id * 3)).concat(through(4, 12).slice(0, 3))),
			world
		);
		const charge = early.next.find((n) => n.step === 'charge-began')!;
		expect([charge.besides, charge.question]).toEqual([true, expect.stringContaining('3 of 4')]);
		const all = followMethod(
			run(
				'bottom',
				[1, 2, 3, 4].flatMap((id) => through(id, id * 3))
			),
			world
		);
		expect(all.next.find((n) => n.step === 'charge-began')).toMatchObject({ besides: false, question: null });
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
		const atTail = entry('finished', 5, { voltageV: 3.6, currentA: 1.5 });
		expect(codes(run('fast', [began, early]))).toContain('fast-false-trip');
		expect(steps(run('fast', [began, early]))).toEqual(['tripped', 'links-read']);
		expect(followMethod(run('fast', [began, early, links([0, 0, 0]), atTail]), world).done).toBe(false);
	});
	it('is done by what was read at its tail, not by being called done', () => {
		const ended = (voltageV: number, currentA: number) =>
			followMethod(
				run('fast', [began, tripped, links([0, 0, 0]), entry('finished', 5, { voltageV, currentA })]),
				world
			);
		// 0.02 C of 100 Ah is 2 A.
		expect(ended(3.598, 1.9)).toMatchObject({ done: true, verdicts: [] });
		for (const [v, a] of [
			[3.598, 8],
			[3.42, 1.9]
		] as const) {
			const state = ended(v, a);
			expect(state.done).toBe(false);
			expect(state.verdicts.map((x) => x.code)).toContain('steps-not-full');
			expect(state.next.map((n) => n.step)).toEqual(['finished']);
		}
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
		const full = entry('full', 20, { voltageV: 14.4, currentA: 1.8 });
		const all = (before: MethodEntry, after: MethodEntry) =>
			codes(run('ready-made', [...read, before, full, after], setup));
		expect(all(test('before', 88), test('after', 97))).toContain('gain-made');
		expect(all(test('before', 97), test('after', 97.3))).toContain('gain-unproved');
		expect(all(test('before', 88), test('after', 97, 40))).toContain('gain-not-comparable');
		expect(all(test('before', 88, 20, null), test('after', 97))).toContain('gain-not-comparable');
	});
	it('full is its tail, not somebody’s word for it', () => {
		const said = (voltageV: number, currentA: number) =>
			codes(
				run(
					'ready-made',
					[...read, entry('joined', 1, { asked: true }), entry('full', 20, { voltageV, currentA })],
					setup
				)
			);
		expect(said(14.4, 1.8)).not.toContain('steps-not-full');
		expect(said(14.4, 30)).toContain('steps-not-full');
		expect(said(13.4, 1.8)).toContain('steps-not-full');
	});
	it('names who stopped it, and how often to level them again', () => {
		const full = entry('full', 0, { voltageV: 14.4, currentA: 1.8 });
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
