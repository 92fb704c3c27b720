import { CLAIM_DAYS } from '../../receive/claim';
import { requireNotNegative, requirePositive } from '../../foundation/errors';

export const BUILD_STEPS = ['order', 'arrive', 'inspect', 'soak', 'test', 'balance', 'build', 'prove'] as const;
export type BuildStep = (typeof BUILD_STEPS)[number];

export interface CalendarInput {
	/** When ordering begins, ms since 1970. */
	startMs: number;
	cells: number;
	ratedAh: number;
	/** Days from order to arrival: of the cells, and of the slowest other thing. */
	cellLeadDays: number;
	partLeadDays: number;
	/** Testers at hand, and the current of one, A. */
	testers: number;
	testA: number;
	/** Of the parallel top balance. */
	balanceDays: number;
	/** Hours a day somebody is at it. */
	hoursADay: number;
	/** Hours of the day in which a tester that is done is seen and given the next cell; 24 when missing. */
	wakingH?: number;
	/** What really happened: a step's end, ms since 1970. */
	done?: Partial<Record<BuildStep, number>>;
}

export interface CalendarStep {
	step: BuildStep;
	startMs: number;
	endMs: number;
	/** A day later here makes the end a day later. */
	critical: boolean;
	/** It has happened, at the time given. */
	isDone: boolean;
}

export interface BuildCalendar {
	steps: CalendarStep[];
	endMs: number;
	/** The latest day the other parts may be ordered without holding up the build. */
	orderPartsByMs: number;
	/** A supplier must usually hear of a defect within so many days of arrival. */
	claimUntilMs: number;
	/** Cells that have stood so long since they came are charged again, or lose what a charge does not give back. */
	standUntilMs: number;
	/** Of somebody's own hands, h. */
	handsH: number;
}

const DAY_MS = 86_400_000;
const HOUR_MS = 3_600_000;
/** Work by hand, hours (default): a cell to inspect; a cell to build in; a battery to prove. */
const HANDS_H = { inspect: 0.15, build: 0.6, buildAtLeast: 4, prove: 4 };
/** Cells stand a day after the journey before they are read. */
const SOAK_H = 24;
/** A test: charge and discharge at the tester's current, and the rests between. */
const RESTS_H = 3;
/** Cells as they arrive, at about 30 %, stand no longer without a charge (default). */
const STAND_DAYS = 180;

/**
 * The steps from the order to a proved battery, one after the other, with hands only in the hours somebody is there; machines go on by
 * night. Simple durations: a queue of testers takes them one by one. @throws CoreError `not-positive`, `negative`
 */
export function buildCalendar(input: CalendarInput): BuildCalendar {
	const { startMs, cells, ratedAh, testers, testA, hoursADay, done = {} } = input;
	requirePositive(cells, 'cells');
	requirePositive(hoursADay, 'hoursADay');
	requireNotNegative(input.cellLeadDays, 'cellLeadDays');
	requireNotNegative(input.partLeadDays, 'partLeadDays');
	requireNotNegative(input.balanceDays, 'balanceDays');
	const byHand = (hours: number) => (hours / hoursADay) * DAY_MS;
	const buildH = Math.max(HANDS_H.buildAtLeast, cells * HANDS_H.build);
	const asleepH = 24 - Math.min(24, requirePositive(input.wakingH ?? 24, 'wakingH'));
	// A tester that ends at any hour waits half the night, as often as it ends in it.
	const waitH = asleepH ** 2 / 48;
	const testMs =
		testers > 0 && testA > 0 ? Math.ceil(cells / testers) * ((2 * ratedAh) / testA + RESTS_H + waitH) * HOUR_MS : 0;
	const takes: Record<BuildStep, number> = {
		order: 0,
		arrive: input.cellLeadDays * DAY_MS,
		inspect: byHand(cells * HANDS_H.inspect),
		soak: SOAK_H * HOUR_MS,
		test: testMs,
		balance: input.balanceDays * DAY_MS,
		build: byHand(buildH),
		prove: byHand(HANDS_H.prove)
	};
	const partsMs = startMs + input.partLeadDays * DAY_MS;
	let at = startMs;
	const steps = BUILD_STEPS.map((step): CalendarStep => {
		const begins = step === 'build' ? Math.max(at, partsMs) : at;
		const endMs = done[step] ?? begins + takes[step];
		at = endMs;
		return { step, startMs: Math.min(begins, endMs), endMs, critical: false, isDone: done[step] !== undefined };
	});
	const build = steps.find((s) => s.step === 'build')!;
	const balance = steps.find((s) => s.step === 'balance')!;
	const partsHoldUp = !build.isDone && partsMs > balance.endMs;
	for (const step of steps)
		step.critical =
			!step.isDone && step.endMs > step.startMs && (!partsHoldUp || ['build', 'prove'].includes(step.step));
	const arrivedMs = steps.find((s) => s.step === 'arrive')!.endMs;
	return {
		steps,
		endMs: steps.at(-1)!.endMs,
		orderPartsByMs: balance.endMs - input.partLeadDays * DAY_MS,
		claimUntilMs: arrivedMs + CLAIM_DAYS * DAY_MS,
		standUntilMs: arrivedMs + STAND_DAYS * DAY_MS,
		handsH: cells * HANDS_H.inspect + buildH + HANDS_H.prove
	};
}
