import { KNEE_V, mostOfOneCellV } from '../../foundation/chemistry';
import type { Interval } from '../../foundation/statistics';
import { isBalanced, type BalanceAnswer } from '../is-balanced';
import { driftChange } from '../../foundation/snapshot';
import { type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { HOUR_MS, ofStep, step, type FollowMethod } from './method';
import type { MethodEntry, MethodRun, MethodSetup, MethodWorld } from '../../picture';

/** What a balancer has at least to move of what it should, to be called at work (default). */
const AT_WORK_SHARE = 0.4;
/** A night with it off or on has to be so long to tell anything, h (default). */
const MIN_NIGHT_H = 4;
/** Nights may be longer apart than this; then they are two. */
const MAX_NIGHT_H = 100;

const snapshotOf = (world: MethodWorld, { volts, currentA }: MethodEntry) => ({
	chemistry: world.chemistry,
	groupAh: world.groupAh,
	meterSdV: world.meterSdV,
	groupVoltagesV: volts!,
	currentA: currentA ?? 0
});

/**
 * What a night does to one group, Ah against the mean of the others; null where it was not read at both ends.
 * A night is two readings of the same step, `off` or `on`.
 */
function nightAh(
	run: MethodRun,
	world: MethodWorld,
	which: 'off' | 'on',
	group: number
): { ah: Interval; hours: number } | null {
	const begins = ofStep(run, `${which}-evening`).at(-1);
	const ends = ofStep(run, `${which}-morning`).findLast((e) => begins && e.doneAt > begins.doneAt);
	if (!begins?.volts || !ends?.volts || begins.volts.length !== ends.volts.length || begins.volts.length < 2)
		return null;
	const hours = (Date.parse(ends.doneAt) - Date.parse(begins.doneAt)) / HOUR_MS;
	if (hours < MIN_NIGHT_H || hours > MAX_NIGHT_H) return null;
	const moved = driftChange(snapshotOf(world, begins), snapshotOf(world, ends))[group];
	return moved ? { ah: moved, hours } : null;
}

/** Whether it fits this battery at all. */
function fitVerdicts(run: MethodRun, world: MethodWorld): Verdict[] {
	const { setup } = run;
	const { madeFor, leastSeries, mostSeries, balancerA, leadOhm, triggerV, startV, stopV } = setup;
	const wrong = [
		...(madeFor && madeFor !== world.chemistry ? (['chemistry'] as const) : []),
		...(setup.mostCellAh && world.cellAh > setup.mostCellAh ? (['cell-size'] as const) : []),
		...((leastSeries && world.series < leastSeries) || (mostSeries && world.series > mostSeries)
			? (['series'] as const)
			: [])
	];
	const unfit = wrong.length
		? [
				say('balancer-unfit', 'stop', world.subject, {
					wrong: [...wrong],
					series: world.series,
					madeFor: madeFor ?? null
				})
			]
		: [];
	// Models §24: both leads of a group drop against it, and those of its neighbours for it.
	const ownV = balancerA && leadOhm ? 2 * balancerA * leadOhm : 0;
	const cellV = balancerA && world.resistanceOhm ? balancerA * world.resistanceOhm : 0;
	const leads =
		triggerV && balancerA && ownV + cellV >= triggerV
			? [
					say('balancer-leads', 'look', world.subject, {
						errorV: ownV,
						neighbourV: ownV / 2,
						cellV,
						triggerV,
						balancerA
					})
				]
			: [];
	const lowestV = startV && stopV ? Math.min(startV, stopV) : (stopV ?? startV);
	const early =
		lowestV && lowestV < KNEE_V[world.chemistry]
			? [say('balancer-starts-low', 'look', world.subject, { downToV: lowestV, kneeV: KNEE_V[world.chemistry] })]
			: [];
	return [...unfit, ...leads, ...early];
}

/** Days it takes for what parts them; null: it never catches up. @param apartAh 95 % */
export function balancerDays(
	apartAh: Interval,
	{ balancerA, hoursADay, growthAhADay }: Pick<MethodSetup, 'balancerA' | 'hoursADay' | 'growthAhADay'>
): Interval | null {
	const aDay = (balancerA ?? 0) * (hoursADay ?? 0) - (growthAhADay ?? 0);
	if (!(aDay > 0)) return null;
	return { low95: apartAh.low95 / aDay, likely: apartAh.likely / aDay, high95: apartAh.high95 / aDay };
}

/** How long it takes for groups that are apart; nothing where they are not, or where nobody said what it moves. */
function daysVerdicts({ setup }: MethodRun, { subject }: MethodWorld, { answer, apartAh }: BalanceAnswer): Verdict[] {
	if (answer === 'balanced' || apartAh === null || !setup.balancerA || !setup.hoursADay) return [];
	const days = balancerDays(apartAh, setup);
	const facts = { apartAh, aDayAh: setup.balancerA * setup.hoursADay, growthAh: setup.growthAhADay ?? 0 };
	if (days) return [say('balancer-days', 'calm', subject, { ...facts, days })];
	return answer === 'apart' ? [say('balancer-never', 'look', subject, facts)] : [];
}

/** How it works, by amperes on a lead and by a night each with it off and on. */
function workVerdicts(run: MethodRun, world: MethodWorld): Verdict[] {
	const { subject } = world;
	const ratedA = run.setup.balancerA ?? null;
	const clamp = ofStep(run, 'clamp').at(-1)?.currentA ?? null;
	const clampOff = ofStep(run, 'clamp-off').at(-1)?.currentA ?? null;
	// The one it takes from is followed in both nights.
	const worked = ofStep(run, 'on-evening').at(-1)?.volts ?? [];
	const highest = worked.indexOf(Math.max(...worked));
	const [off, on] = (['off', 'on'] as const).map((which) => nightAh(run, world, which, highest));
	if (clamp !== null && ratedA !== null) {
		// One figure proves nothing: a clamp has a zero error of its own. The difference between off and on does (models §10).
		if (clampOff === null) return [say('balancer-clamp-alone', 'open', subject, { clampA: Math.abs(clamp), ratedA })];
		const movesA = Math.abs(clamp - clampOff);
		const works = movesA >= AT_WORK_SHARE * ratedA;
		return [
			say(works ? 'balancer-works' : 'balancer-idle', works ? 'calm' : 'look', subject, {
				clampA: movesA,
				ratedA,
				movedAh: null,
				hours: null
			})
		];
	}
	if (!off || !on) return [];
	const length = on.hours;
	// It takes from the highest: what it moved is what the night without it did not.
	const share = length / off.hours;
	const movedAh: Interval = {
		low95: off.ah.low95 * share - on.ah.high95,
		likely: off.ah.likely * share - on.ah.likely,
		high95: off.ah.high95 * share - on.ah.low95
	};
	const expectedAh = ratedA === null ? null : ratedA * Math.min(length, run.setup.hoursADay ?? length);
	const facts = { clampA: null, ratedA, movedAh, hours: length };
	if (movedAh.low95 > 0) return [say('balancer-works', 'calm', subject, facts)];
	if (movedAh.high95 <= 0 || (expectedAh !== null && movedAh.high95 < AT_WORK_SHARE * expectedAh))
		return [say('balancer-idle', 'look', subject, facts)];
	return [say('balancer-unproved', 'open', subject, facts)];
}

/**
 * Balance by a BMS or an active balancer: whether it fits, how many days it takes or that it never catches up, whether it works at all,
 * and what to do when it smells or smokes.
 */
export const followBalancer: FollowMethod = (run, world) => {
	const { subject } = world;
	const smoke = ofStep(run, 'smoke').at(-1);
	const safe = smoke && run.entries.some((e) => e.step === 'made-safe' && e.doneAt >= smoke.doneAt);
	if (smoke && !safe)
		return {
			verdicts: [say('balancer-smoke', 'stop', subject, { at: smoke.doneAt })],
			next: [
				step('made-safe', 'When it is off, cold and out: write down what was found and what was changed.', ['words'])
			],
			due: [],
			done: false,
			locksJoining: false
		};
	const read = ofStep(run, 'read').at(-1) ?? null;
	const answer =
		read?.volts && read.volts.length > 1
			? isBalanced({ ...snapshotOf(world, read), passings: read.passings ?? null }, subject)
			: null;
	const told = answer ? [answer.verdict, ...daysVerdicts(run, world, answer)] : [];
	const works = workVerdicts(run, world);
	const volts = ['volts'] as const;
	// Read from the battery’s negative, they are told so; what no battery has is refused.
	const mostV = world.series * mostOfOneCellV(world.chemistry);
	return {
		verdicts: [
			...fitVerdicts(run, world),
			...(answer ? told : [say('balancer-not-read', 'open', subject, { kneeV: KNEE_V[world.chemistry] })]),
			...works
		],
		next: [
			step(
				'read',
				`Near full, above ${KNEE_V[world.chemistry].toFixed(2)} V: read every group within a minute, position 1 first, and the amperes into the battery.`,
				volts,
				{ also: ['currentA'], count: world.series, mostV }
			),
			step(
				'clamp-off',
				'Balancer off: zero the clamp, put it on the lead of the highest group, and write down its amperes with their sign.',
				['currentA']
			),
			step(
				'clamp',
				`Balancer on, groups above its start voltage${run.setup.startV ? ` of ${run.setup.startV.toFixed(2)} V` : ''} and further apart than its trigger: the same clamp, the same lead, the same way round.`,
				['currentA']
			),
			step('off-evening', 'Balancer off, charge ended, nothing drawn: read every group near full.', volts, {
				also: ['currentA'],
				count: world.series,
				mostV
			}),
			step('off-morning', 'The next morning, still off: read them again.', volts, {
				also: ['currentA'],
				count: world.series,
				mostV
			}),
			step('on-evening', 'Another evening with it on: read every group near full.', volts, {
				also: ['currentA'],
				count: world.series,
				mostV
			}),
			step('on-morning', 'The morning after: read them again.', volts, {
				also: ['currentA'],
				count: world.series,
				mostV
			}),
			step(
				'smoke',
				'It smells, smokes or is hot: pull the balance plug, then the loads and the charger, and say so here.',
				[],
				{ besides: true }
			)
		],
		due: [],
		done: answer?.answer === 'balanced' && works.some((v) => v.code === 'balancer-works'),
		locksJoining: false
	};
};
