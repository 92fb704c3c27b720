import { definitionOf } from '$lib/core/bank';
import type { Verdict } from '$lib/core/foundation/verdicts';

/** A verdict on a cell in two or three words, for under the cell: its definition's mark, else its title. */
export function shortMark({ code, facts, title }: Pick<Verdict, 'code' | 'facts' | 'title'>): string {
	const mark = definitionOf(code)?.mark;
	if (mark === undefined || typeof mark === 'string') return mark ?? title;
	// Without its facts a figure would be made up.
	return Object.keys(facts).length === 0 ? title : (mark as (facts: unknown) => string)(facts);
}
