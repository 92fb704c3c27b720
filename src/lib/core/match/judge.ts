import { arrivalOrderSummary, judgeMatch, knownOf, tooFewCells } from './groups';
import { cellSubject, type Verdict } from '../foundation/verdicts';
import { say } from './verdicts';
import {
	bankSubject,
	batterySubject,
	concernedCells,
	isInService,
	placedCells,
	wantedCells,
	type BankPicture,
	type StageJudgement
} from '../picture';
import { type MatchState, matchState, resistiveCells, buildRefusals } from './state';

/** A cell with too much resistance that is built in although a sound one is at hand. */
function resistiveVerdicts(picture: BankPicture, { candidates }: MatchState): Verdict[] {
	const odd = resistiveCells(picture);
	const builtIn = placedCells(picture).filter((c) => odd.has(c.id));
	const used = new Set(placedCells(picture).map((c) => c.id));
	const spares = candidates.filter((c) => !used.has(c.id) && !odd.has(c.id));
	if (builtIn.length === 0 || spares.length === 0) return [];
	const facts = {
		mostShare: Math.max(...builtIn.map((c) => odd.get(c.id)!)),
		spares: spares.map((c) => c.label)
	};
	return [say('match-resistive', 'look', bankSubject(picture), facts, builtIn.map(cellSubject))];
}

/** Batteries built here although something speaks against it, with the reason somebody wrote; it stays as long as that is so. */
function refusalVerdicts(picture: BankPicture): Verdict[] {
	return picture.batteries
		.filter((b) => b.kind === 'built' && b.groups.some((g) => g.cellIds.length))
		.flatMap((battery) => {
			const refusals = buildRefusals(
				picture,
				battery.groups.map((g) => g.cellIds)
			);
			if (refusals.length === 0) return [];
			const facts = { refusals: refusals.map(({ why, found }) => ({ why, found })), despite: battery.builtDespite };
			const cells = new Set(refusals.flatMap((r) => r.cellIds));
			const members = picture.cells.filter((c) => cells.has(c.id)).map(cellSubject);
			const warmth = battery.builtDespite ? 'calm' : 'look';
			return [say('match-refused', warmth, batterySubject(picture, battery), facts, members)];
		});
}

/** What can be said of the groups as they are placed; nothing while they are not whole or a cell is not measured. */
function placedVerdicts(picture: BankPicture, { candidates, groups }: MatchState): Verdict[] {
	const { bank, cellType } = picture;
	const ah = groups.map((g) => g.capacityAh);
	const built = picture.batteries.filter((b) => b.kind === 'built').reduce((sum, b) => sum + b.series, 0);
	if (groups.length !== built || groups.some((g) => g.cellIds.length !== bank.parallel) || ah.includes(null)) return [];
	const problem = { series: built, parallel: bank.parallel, cells: candidates };
	return judgeMatch(
		{
			...knownOf(
				problem,
				groups.map((g) => g.cellIds)
			),
			arrivalSmallestAh: arrivalOrderSummary(problem).smallestGroupAh,
			proof: null
		},
		cellType ? cellType.ratedAh * bank.parallel : null,
		bankSubject(picture)
	);
}

/** The verdicts on the groups as they are, or what keeps the cells from having any. */
export function judgeMatchStage(picture: BankPicture): StageJudgement {
	const state = matchState(picture);
	const placed = placedCells(picture).length;
	const wanted = wantedCells(picture);
	const subject = bankSubject(picture);
	if (wanted === 0) return { verdicts: [], done: true };
	if (placed > 0 && placed < wanted)
		return { verdicts: [say('match-partly', 'look', subject, { placed, wanted })], done: false };
	const resistive = isInService(picture) ? [] : resistiveVerdicts(picture, state);
	if (placed > 0)
		return { verdicts: [...resistive, ...refusalVerdicts(picture), ...placedVerdicts(picture, state)], done: true };
	if (isInService(picture)) return { verdicts: [], done: false };
	const measured = state.candidates.length;
	if (concernedCells(picture).length === 0) return { verdicts: [], done: false };
	const few = tooFewCells(measured, wanted, state.untested, subject);
	// Nobody is told to match while cells are still on the tester.
	const ready = few === null && state.untested === 0;
	return {
		verdicts: few ? [few] : ready ? [say('match-waiting', 'open', subject, { measured, wanted })] : [],
		done: false
	};
}
