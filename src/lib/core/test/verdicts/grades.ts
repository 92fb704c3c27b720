import { verdict } from '../../foundation/verdicts';

interface Held {
	/** As it was sold; may be empty. */
	grade: string;
	/** The person's own line; null: not asked. */
	leastAh: number | null;
	mostMohm: number | null;
	outside: number;
	unsure: number;
	within: number;
}

const gradeOf = ({ grade }: Held) => (grade ? `grade ${grade}` : 'the grade sold');

const lineOf = ({ leastAh, mostMohm }: Held) =>
	[
		leastAh === null ? null : `at least ${leastAh.toFixed(1)} Ah`,
		mostMohm === null ? null : `at most ${mostMohm.toFixed(3)} mΩ`
	]
		.filter(Boolean)
		.join(' and ');

const counts = ({ outside, unsure, within }: Held) =>
	[
		outside ? `${outside} outside` : null,
		within ? `${within} within` : null,
		unsure ? `${unsure} cannot be told` : null
	]
		.filter(Boolean)
		.join(', ');

const RULE =
	'Your own line for this grade; a cell is outside or within beyond 95 %. A grade is a seller’s word: only a line makes it a claim.';

export const GRADE_VERDICTS = {
	'outside-grade': verdict<Held>()({
		means: 'Cells outside the grade they were sold as; members are those.',
		urgencies: ['look'],
		remedy: { to: 'receive/report', text: 'The report to the supplier' },
		words: ({ facts, members }) => ({
			title: `${members.map((m) => m.label).join(', ')} ${members.length === 1 ? 'is' : 'are'} not of ${gradeOf(facts)}`,
			finding: `${counts(facts)}; the line is ${lineOf(facts)}.`,
			doubt: facts.unsure ? 'Who cannot be told is not claimed.' : null,
			rule: RULE,
			next: 'Show the supplier the line and the figures, or keep them for another battery.'
		})
	}),
	'within-grade': verdict<Held>()({
		means: 'None is outside it; members are those that cannot be told.',
		urgencies: ['calm', 'open'],
		calm: 'ok',
		words: ({ facts }) => ({
			title: facts.unsure ? `None is surely outside ${gradeOf(facts)}` : `All are of ${gradeOf(facts)}`,
			finding: `${counts(facts)}; the line is ${lineOf(facts)}.`,
			doubt: facts.unsure
				? 'A run or a reading that decides is missing, or its doubt is larger than the distance to the line.'
				: null,
			rule: RULE,
			next: facts.unsure ? 'Test those first that cannot be told.' : null
		})
	})
};
