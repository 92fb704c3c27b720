import type { StageVerdict } from '../foundation/verdicts';
import type { Finding } from '../world/rehearsal';

/** What a rehearsal's bank looks like, as far as findings need it. */
export interface BuiltPicture {
	cells: readonly { id: number; label: string }[];
	batteries: readonly { id: number; groups: readonly { id: number; position: number; cellIds: readonly number[] }[] }[];
}

/** Leads of a pair that are exchanged are named by the lower one. */
const lowest = (leads: readonly number[]) => String(Math.min(...leads));

/**
 * What verdicts amount to as findings: a short capacity is a weak cell, a joint with too much resistance a loose bar. Facts alone are
 * read, never a sentence.
 */
export function findingsOf(verdicts: readonly StageVerdict[], { cells, batteries }: BuiltPicture): Finding[] {
	const groups = batteries.flatMap((b) => b.groups.map((g) => ({ ...g, batteryId: b.id })));
	const labelOf = new Map(cells.map((c) => [c.id, c.label]));
	return verdicts.flatMap(({ code, subject, facts }): Finding[] => {
		switch (code) {
			case 'capacity-short':
				return [{ kind: 'weak-cell', where: subject.label }];
			case 'polarity':
				return [{ kind: 'wrong-print', where: subject.label }];
			case 'resistance-outlier':
				return (facts.relativeDifference as number) > 0 ? [{ kind: 'high-resistance', where: subject.label }] : [];
			case 'leads-wrong': {
				const leads = facts.leads as readonly number[];
				if (facts.likeliest === 'exchanged') return [{ kind: 'swapped-leads', where: lowest(leads) }];
				return facts.likeliest === 'open' ? [{ kind: 'open-lead', where: lowest(leads) }] : [];
			}
			case 'joint-loose': {
				const group = groups.find((g) => g.id === subject.id || `${g.batteryId}/${g.position}` === subject.id);
				// Of several cells in a group nobody can say whose bar it is.
				return group?.cellIds.length === 1 ? [{ kind: 'loose-bar', where: labelOf.get(group.cellIds[0]!)! }] : [];
			}
			case 'bms-misreads': {
				const group = groups.find((g) => g.id === subject.id);
				return group ? [{ kind: 'bms-reading', where: String(group.position) }] : [];
			}
			case 'counters-disagree':
				return [{ kind: 'biased-tester', where: null }];
			default:
				return [];
		}
	});
}
