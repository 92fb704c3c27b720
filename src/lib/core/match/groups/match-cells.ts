import { CoreError } from '../../foundation/errors';
import { seededRandom } from '../../foundation/statistics';
import { lowerLargest, raiseSmallest } from './branch-and-bound';
import { resolveWishes, wishedBoundAh, wishedStart, type Wishes } from './constraints';
import { matchPairs } from './exact-pairs';
import { evenedWithinDoubt } from './within-doubt';
import { greedyGroups, improveBySwaps, shaken } from './local-search';
import {
	SAME_AH,
	checkProblem,
	compareCosts,
	costOf,
	describeGroups,
	groupWorthAh,
	meetings,
	type Assignment,
	type MatchGroup,
	type MatchProblem
} from './problem';

export interface MatchProgress {
	stage: 'arranging' | 'proving' | 'evening' | 'done';
	/** 0..1 of the time allowed. */
	fraction: number;
	smallestGroupAh: number;
	spreadAh: number;
	/** What a person who ends it now is given. */
	best?: MatchResult;
}

export interface MatchControl {
	timeLimitS: number;
	/** Seconds from any origin. */
	clockS: () => number;
	/** Called now and then; return true to stop with the best found so far. */
	cancelled?: () => boolean;
	onProgress?: (progress: MatchProgress) => void;
}

export interface MatchSummary {
	smallestGroupAh: number;
	spreadAh: number;
}

export interface MatchResult extends MatchSummary {
	groups: MatchGroup[];
	spares: (number | string)[];
	/** No arrangement can have a larger smallest group than this. */
	upperBoundAh: number;
	/** The bound is reached: the largest smallest group there is, but for what was traded within its doubt. */
	proven: boolean;
	/** Given up of the smallest group, within half of its doubt, for groups more alike in conductance, Ah. */
	tradedAh: number;
	/** And its spread is the least possible with that smallest group. */
	spreadProven: boolean;
	/** Smallest group's capacity at the 5 % quantile of its doubt, Ah. */
	smallestGroupP05Ah: number;
	/** The first S·P cells taken in the order they came. */
	arrivalOrder: MatchSummary;
	cancelled: boolean;
}

/** Restarts of the local search without improvement before it rests; more rarely helps at these sizes. */
const RESTARTS = 60;

function summary(problem: MatchProblem, groups: Assignment): MatchSummary {
	const plain = { ...problem, robust: false };
	const cost = costOf(plain, groups);
	return { smallestGroupAh: -cost.shortage, spreadAh: cost.spreadAh };
}

/** Smallest group and spread of the cells taken as they came. */
export function arrivalOrderSummary(problem: MatchProblem): MatchSummary {
	const groups = Array.from({ length: problem.series }, (_, s) =>
		Array.from({ length: problem.parallel }, (_, p) => s * problem.parallel + p)
	);
	return summary(problem, groups);
}

/**
 * Chooses which cells and which group, lexicographically: (1) largest smallest group, (2) least difference between
 * groups, (3) least spread of group conductance, (4) batch wish. Exact for groups of one and two; for larger groups
 * branch and bound within the time given, otherwise the best found with a proven bound.
 * @throws CoreError see {@link checkProblem}
 */
export function matchCells(asked: MatchProblem & Wishes, control: MatchControl): MatchResult {
	const wished = resolveWishes(asked);
	const { problem } = wished;
	checkProblem(problem);
	const startS = control.clockS();
	const elapsed = () => (control.clockS() - startS) / control.timeLimitS;
	const cancelled = () => control.cancelled?.() ?? false;
	const report = (stage: MatchProgress['stage'], groups: Assignment) =>
		control.onProgress?.({
			stage,
			fraction: Math.min(1, elapsed()),
			...summary(problem, groups),
			best: conclude(problem, groups, wished.seriesOfOne, unproven(problem, groups))
		});
	const stopAt = (share: number) => () => cancelled() || elapsed() > share;

	const first = wished.isBound ? wishedStart(wished) : greedyGroups(problem);
	const arrangeUntil = wished.isBound || problem.robust ? 0.9 : 0.3;
	let groups = arrange(problem, first, stopAt(arrangeUntil), (g) => report('arranging', g), wished.isBound);
	let { proven, spreadProven, bound } = { proven: false, spreadProven: false, bound: meanBound(problem) };
	if (wished.isBound) {
		// Free cells may be exchanged at will and locked ones not: the proofs of free cells do not hold here.
		bound = Math.min(bound, wishedBoundAh(wished));
		proven = !problem.robust && -costOf(problem, groups).shortage >= bound - SAME_AH;
	} else if (!problem.robust) {
		report('proving', groups);
		({ groups, proven, bound } = prove(problem, groups, bound, stopAt(0.75)));
		report('evening', groups);
		({ groups, spreadProven } = even(problem, groups, proven, stopAt(1)));
	}
	groups = improveBySwaps(problem, groups, stopAt(1));
	const clashes = meetings(problem.keptApart ?? [], groups);
	if (clashes > 0)
		throw new CoreError(
			'apart',
			'apart',
			`No arrangement was found that keeps apart what is to be apart: ${clashes} still meet. Loosen a list, or add cells.`
		);
	const bestAh = -costOf({ ...problem, robust: false }, groups).shortage;
	groups = evenedWithinDoubt(problem, groups, () => cancelled() || elapsed() > 1.15);
	report('done', groups);
	return conclude(problem, groups, wished.seriesOfOne, {
		bestAh,
		proven,
		spreadProven,
		bound,
		cancelled: cancelled()
	});
}

/** What is known of an arrangement while the search goes on. */
const unproven = (problem: MatchProblem, groups: Assignment) => ({
	bestAh: summary(problem, groups).smallestGroupAh,
	proven: false,
	spreadProven: false,
	bound: meanBound(problem),
	cancelled: true
});

function conclude(
	problem: MatchProblem,
	groups: Assignment,
	seriesOfOne: number,
	found: { bestAh: number; proven: boolean; spreadProven: boolean; bound: number; cancelled: boolean }
): MatchResult {
	const described = describeGroups(problem, groups, seriesOfOne);
	const used = new Set(groups.flat());
	const own = summary(problem, groups);
	return {
		groups: described,
		spares: problem.cells.filter((_, i) => !used.has(i)).map((c) => c.id),
		...own,
		upperBoundAh: found.proven ? found.bestAh : found.bound,
		tradedAh: Math.max(0, found.bestAh - own.smallestGroupAh),
		proven: found.proven,
		spreadProven: found.spreadProven,
		smallestGroupP05Ah: smallestAtQuantile(problem, groups),
		arrivalOrder: arrivalOrderSummary(problem),
		cancelled: found.cancelled
	};
}

/** The smallest of S groups is at most the mean of the best S·P cells. */
function meanBound(problem: MatchProblem): number {
	const best = problem.cells
		.map((c) => c.capacityAh)
		.sort((a, b) => b - a)
		.slice(0, problem.series * problem.parallel);
	return best.reduce((a, b) => a + b, 0) / problem.series;
}

function arrange(
	problem: MatchProblem,
	first: Assignment,
	shouldStop: () => boolean,
	onBetter: (groups: Assignment) => void,
	isBound: boolean
): Assignment {
	let best = improveBySwaps(problem, first, shouldStop);
	onBetter(best);
	if (!isBound && (problem.parallel === 1 || (problem.parallel === 2 && !problem.robust))) return best;
	const random = seededRandom(problem.cells.length * 7919 + problem.series);
	for (let failures = 0; failures < RESTARTS && !shouldStop(); failures++) {
		const tried = improveBySwaps(problem, shaken(problem, best, random), shouldStop);
		if (compareCosts(costOf(problem, tried), costOf(problem, best)) < 0) {
			best = tried;
			failures = -1;
			onBetter(best);
		}
	}
	return best;
}

function sortedByCapacity(problem: MatchProblem): { order: number[]; capacities: number[] } {
	const order = problem.cells
		.map((_, i) => i)
		.sort((a, b) => problem.cells[b]!.capacityAh - problem.cells[a]!.capacityAh);
	return { order, capacities: order.map((i) => problem.cells[i]!.capacityAh) };
}

function better(
	problem: MatchProblem,
	found: Assignment | null,
	order: readonly number[],
	groups: Assignment
): Assignment {
	if (!found) return groups;
	const mapped = found.map((g) => g.map((i) => order[i]!));
	return compareCosts(costOf(problem, mapped), costOf(problem, groups)) < 0 ? mapped : groups;
}

function prove(
	problem: MatchProblem,
	start: Assignment,
	bound: number,
	shouldStop: () => boolean
): { groups: Assignment; proven: boolean; bound: number } {
	const { order, capacities } = sortedByCapacity(problem);
	if (problem.parallel === 1)
		return {
			groups: better(
				problem,
				capacities.slice(0, problem.series).map((_, i) => [i]),
				order,
				start
			),
			proven: true,
			bound
		};
	if (problem.parallel === 2)
		return { groups: better(problem, matchPairs(capacities, problem.series), order, start), proven: true, bound };
	const smallest = -costOf(problem, start).shortage;
	if (smallest >= bound - SAME_AH) return { groups: start, proven: true, bound };
	const search = raiseSmallest(capacities, problem.series, problem.parallel, smallest, shouldStop);
	return { groups: better(problem, search.groups, order, start), proven: search.complete, bound };
}

function even(
	problem: MatchProblem,
	start: Assignment,
	proven: boolean,
	shouldStop: () => boolean
): { groups: Assignment; spreadProven: boolean } {
	if (problem.parallel <= 2) return { groups: start, spreadProven: true };
	const { order, capacities } = sortedByCapacity(problem);
	const cost = costOf(problem, start);
	const smallest = -cost.shortage;
	const search = lowerLargest(
		capacities,
		problem.series,
		problem.parallel,
		smallest,
		smallest + cost.spreadAh,
		shouldStop
	);
	return { groups: better(problem, search.groups, order, start), spreadProven: proven && search.complete };
}

function smallestAtQuantile(problem: MatchProblem, groups: Assignment): number {
	return Math.min(...groups.map((g) => groupWorthAh({ ...problem, robust: true }, g)));
}

/** Smallest group at the 5 % quantile of its doubt, Ah, for groups given as ids of the problem's cells. */
export function smallestGroupP05Ah(problem: MatchProblem, groups: (number | string)[][]): number {
	return smallestAtQuantile(problem, asIndices(problem, groups));
}

function asIndices(problem: MatchProblem, groups: (number | string)[][]): Assignment {
	const indexOf = new Map(problem.cells.map((c, i) => [c.id, i]));
	return groups.map((g) => g.map((id) => indexOf.get(id)!));
}

/** What one exchange of two cells (or a cell and a spare) does to an assignment given as ids. Positive gains are better. */
export function costOfMove(
	problem: MatchProblem,
	before: (number | string)[][],
	after: (number | string)[][]
): { smallestChangeAh: number; spreadChangeAh: number } {
	const from = summary(problem, asIndices(problem, before));
	const to = summary(problem, asIndices(problem, after));
	return { smallestChangeAh: to.smallestGroupAh - from.smallestGroupAh, spreadChangeAh: to.spreadAh - from.spreadAh };
}
