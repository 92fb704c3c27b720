import type { RehearsalJudgement } from '$lib/core/rehearsal';
import type { Verdict } from '$lib/core/shared';

export const money = (amount: number): string => amount.toFixed(0);

const verdict = (
	code: string,
	warmth: Verdict['warmth'],
	title: string,
	finding: string,
	next: string | null
): Verdict => ({
	code,
	warmth,
	title,
	finding,
	doubt: null,
	rule: 'In a rehearsal every cell is simulated; times are those of the bench’s own clock.',
	next,
	cellIds: []
});

/** What a rehearsal asks next, or how it ended. */
export function rehearsalVerdicts(judgement: RehearsalJudgement | null, onBench: boolean, placed: boolean): Verdict[] {
	if (judgement) {
		const caught = judgement.defects.filter((d) => d.caught).length;
		const all = judgement.defects.length;
		const title = all === 0 ? 'Nothing was hidden' : `You caught ${caught} of ${all}`;
		const cost =
			judgement.totalCost > 0
				? `As you left it, it would have cost about ${money(judgement.totalCost)}.`
				: 'As you left it, it would have cost nothing.';
		return [
			verdict(
				'rehearsal-end',
				caught < all || judgement.totalCost > 0 ? 'look' : 'calm',
				title,
				cost,
				'Open another crate, or begin with your own cells.'
			)
		];
	}
	if (!onBench)
		return [
			verdict(
				'rehearsal-away',
				'open',
				'Another crate is on the bench',
				'Yours was kept as you left it.',
				'Use your hands below, and it is put back.'
			)
		];
	return [
		verdict(
			'rehearsal-next',
			'calm',
			placed ? 'Your hands know which cell goes where' : 'Begin with Receive',
			placed
				? 'The cells are matched: they can be joined in a row, or built in series.'
				: 'Read every cell with the bench’s meters before any are joined.',
			placed ? 'Join them in one row and top-balance, then build.' : 'Go to Receive, then Test.'
		)
	];
}
