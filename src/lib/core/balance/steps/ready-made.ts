import { COMPARABLE_RUNS, REPEAT_AT_SHARE, say } from '../verdicts';
import { mean } from 'd3-array';
import { checkJoining } from '../joining';
import { mostOfOneCellV } from '../../foundation/chemistry';
import { snapshotBounds } from '../../foundation/snapshot';
import { type Verdict } from '../../foundation/verdicts';
import { HOUR_MS, notAtTail, ofStep, step, wasAtTail, type FollowMethod } from './method';
import type { MethodRun, MethodWorld } from '../../picture';

/** A counter is right to so much between two tests, share, one sd (default). */
const COUNTER_SD = 0.004;
/** A charge to the tail levels them to so much, share of one (default). */
const LEVELLED = 0.005;
const LINK_OHM = 0.001;
const MONTH_MS = 30.4 * 24 * HOUR_MS;
const USUAL = { unitAh: 100, unitCells: 4 };

const unitsOf = ({ setup }: MethodRun): readonly string[] => setup.units ?? [];

/** What the equalising gave, where before and after are alike; else what keeps them from being compared. */
function gain(run: MethodRun, { subject }: MethodWorld): Verdict[] {
	const [before, after] = [ofStep(run, 'before').at(-1), ofStep(run, 'after').at(-1)];
	if (!before || !after) return [];
	const unlike = [
		...(!before.currentA ||
		!after.currentA ||
		Math.abs(Math.abs(after.currentA / before.currentA) - 1) > COMPARABLE_RUNS.load
			? (['load'] as const)
			: []),
		...(before.voltageV === null ||
		after.voltageV === null ||
		Math.abs(after.voltageV - before.voltageV) > COMPARABLE_RUNS.cutoffV
			? (['cutoff'] as const)
			: []),
		...(before.ah === null || after.ah === null || before.wh === null || after.wh === null ? (['wh'] as const) : [])
	];
	if (before.ah === null || after.ah === null) return [];
	if (unlike.length)
		return [
			say('gain-not-comparable', 'open', subject, { unlike: [...unlike], beforeAh: before.ah, afterAh: after.ah })
		];
	const gainOf = (was: number, is: number) => {
		const sd = Math.hypot(was, is) * COUNTER_SD;
		return { low95: is - was - 1.96 * sd, likely: is - was, high95: is - was + 1.96 * sd };
	};
	const gainAh = gainOf(before.ah, after.ah);
	return [
		say(gainAh.low95 > 0 ? 'gain-made' : 'gain-unproved', gainAh.low95 > 0 ? 'calm' : 'open', subject, {
			gainAh,
			gainWh: gainOf(before.wh!, after.wh!),
			loadA: after.currentA!,
			cutoffV: after.voltageV!
		})
	];
}

/** Volts of each battery in series at the end of a charge; how fast they part, months to the next time. */
function parting(run: MethodRun, world: MethodWorld): Verdict[] {
	const { unitAh = USUAL.unitAh, unitCells = USUAL.unitCells } = run.setup;
	const full = run.entries.filter((e) => e.step === 'series-full' && e.volts && e.volts.length === unitsOf(run).length);
	const since = ofStep(run, 'full').at(-1);
	const last = full.at(-1);
	if (!since || !last) return [];
	const months = (Date.parse(last.doneAt) - Date.parse(since.doneAt)) / MONTH_MS;
	const cells = unitCells ?? USUAL.unitCells;
	const ah = unitAh ?? USUAL.unitAh;
	const { apartAh } = snapshotBounds({
		chemistry: world.chemistry,
		groupAh: ah,
		meterSdV: world.meterSdV / cells,
		groupVoltagesV: last.volts!.map((v) => v / cells),
		currentA: last.currentA ?? 0
	});
	if (months < 0.5) return [];
	// How level they were when that began is known to so much.
	const began = LEVELLED * ah;
	const until = (apart: number) => (apart > 0 ? (REPEAT_AT_SHARE * ah * months) / apart : Infinity);
	const everyMonths = {
		low95: until(apartAh.high95 + began),
		likely: until(apartAh.likely),
		high95: until(apartAh.low95 - began)
	};
	const now = apartAh.low95 > REPEAT_AT_SHARE * ah;
	return [
		say(now ? 'units-apart' : 'repeat-in', now ? 'look' : 'calm', world.subject, {
			apartAh,
			everyMonths,
			months,
			units: full.at(-1)!.volts!.length
		})
	];
}

/** Who stopped it, each time at each end: one that always does is the weak one. */
function trips(run: MethodRun, { subject }: MethodWorld): Verdict[] {
	return (['low-trip', 'high-trip'] as const).flatMap((which) => {
		const by = ofStep(run, which);
		if (by.length === 0) return [];
		const counts = new Map<string, number>();
		for (const { unit } of by) if (unit) counts.set(unit, (counts.get(unit) ?? 0) + 1);
		const [unit, times] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? ['', 0];
		// As often one as the other: neither is the weak one.
		if (by.length > 1 && times <= by.length / 2) return [];
		return [
			say('unit-trips', times > 1 ? 'look' : 'calm', subject, {
				unit,
				times,
				of: by.length,
				end: which === 'low-trip' ? 'empty' : 'full'
			})
		];
	});
}

/**
 * Ready-made batteries that are to stand in series: made level side by side first, with a charge to the tail; what that gave, by the same test
 * before and after; who stopped it at each end; how often it has to be done again.
 */
export const followReadyMade: FollowMethod = (run, world) => {
	const units = unitsOf(run);
	const { subject } = world;
	const rest = new Map(ofStep(run, 'rest').map((e) => [e.unit, e]));
	const read = units.flatMap((u) => (rest.get(u)?.voltageV == null ? [] : [rest.get(u)!]));
	const cells = run.setup.unitCells ?? USUAL.unitCells;
	const unitAh = run.setup.unitAh ?? USUAL.unitAh;
	const joining =
		read.length === units.length && units.length > 1
			? checkJoining(
					{
						chemistry: world.chemistry,
						linkOhm: LINK_OHM,
						linkRatingA: null,
						items: read.map((e) => ({
							id: e.unit!,
							restVoltageV: e.voltageV!,
							capacityAh: unitAh,
							cellsInSeries: cells
						}))
					},
					subject
				)
			: null;
	const joined = ofStep(run, 'joined')[0];
	const ended = ofStep(run, 'full').at(-1) ?? null;
	const isFull =
		ended !== null &&
		wasAtTail(world, {
			cellV: ended.voltageV === null ? null : ended.voltageV / cells,
			currentA: ended.currentA,
			cells: units.length,
			cellAh: unitAh
		});
	const full = isFull ? ended : null;
	const mostV = cells * mostOfOneCellV(world.chemistry);
	const unit = (name: string) => ({ unit: name, mostV });
	const test = ['ah', 'currentA', 'voltageV'] as const;
	const stops = joining?.verdicts.some((v) => v.warmth === 'stop') ?? false;
	const meanV = read.length ? mean(read, (e) => e.voltageV!)! : null;
	return {
		verdicts: [
			...(joined || !joining ? [] : joining.verdicts),
			...(joining || joined ? [] : [say('units-unread', 'open', subject, { read: read.length, of: units.length })]),
			...(joined && !ended ? [say('units-charging', 'calm', subject, { units: units.length, meanV })] : []),
			...(ended && !full ? [notAtTail({ subject, cellAh: unitAh }, ended, units.length)] : []),
			...gain(run, world),
			...trips(run, world),
			...parting(run, world)
		],
		next: [
			...(joined
				? []
				: units
						.filter((u) => !rest.has(u))
						.map((u) => step('rest', `Read ${u} at its terminals, at rest.`, ['voltageV'], unit(u)))),
			...(ofStep(run, 'before').length || joined
				? []
				: [
						step(
							'before',
							'If they are in series now: run them down once with one load, and write down what came out, the load and where it ended.',
							test,
							{ also: ['wh'] }
						)
					]),
			...(joining && !joined && !stops
				? [
						step(
							'joined',
							'Join them side by side, plus to plus, with links of one kind; the order stands in the verdict.',
							[],
							{
								question: 'Did a meter show the same polarity on each, and are the links fused or rated for what flows?'
							}
						)
					]
				: []),
			...(joined && !full
				? [
						step(
							'full',
							'Charge all of them side by side, to full and to the tail of the whole row; write down volts and amperes at its end.',
							['voltageV', 'currentA'],
							{ mostV }
						)
					]
				: []),
			...(full && !ofStep(run, 'after').length
				? [
						step('after', 'In series again: the same run as before, the same load to the same volts.', test, {
							also: ['wh']
						})
					]
				: []),
			...(full
				? [
						step('series-full', 'At the end of a charge in series: read each battery, in order.', ['volts'], {
							also: ['currentA'],
							count: units.length,
							mostV
						})
					]
				: []),
			...units.flatMap((u) => [
				step('low-trip', `${u} stopped the discharge.`, [], unit(u)),
				step('high-trip', `${u} stopped the charge.`, [], unit(u))
			])
		],
		due: [],
		done: full !== null && ofStep(run, 'after').length > 0,
		locksJoining: false
	};
};
