import { isMeasured, type Fact, type Verdict } from '$lib/core/foundation/verdicts';

const valueOf = (fact: Fact | undefined): number =>
	fact !== undefined && isMeasured(fact) ? fact.value : typeof fact === 'number' ? fact : 0;

const wordsOf = (fact: Fact | undefined): string => (Array.isArray(fact) ? fact.join(', ') : '');

const FIGURES = ['voltage-outlier', 'resistance-outlier', 'thickness-outlier', 'mass-outlier', 'inspection-stop'];

/** A verdict on a cell in two or three words, for under the cell; from its facts alone. */
export function shortMark({ code, facts, title }: Pick<Verdict, 'code' | 'facts' | 'title'>): string {
	// Without its facts a figure would be made up.
	if (FIGURES.includes(code) && Object.keys(facts).length === 0) return title;
	switch (code) {
		case 'deep-discharged':
			return 'too low';
		case 'chemistry-doubted':
			return `${String(facts.or)}?`;
		case 'overcharged':
			return 'too high';
		case 'not-one-cell':
			return 'no cell’s';
		case 'polarity':
			return 'reversed?';
		case 'voltage-outlier': {
			const volts = valueOf(facts.differenceV);
			return `${Math.round(Math.abs(volts) * 1000)} mV ${volts < 0 ? 'low' : 'high'}`;
		}
		case 'resistance-outlier': {
			const share = valueOf(facts.relativeDifference);
			return `${Math.round(Math.abs(share) * 100)} % ${share > 0 ? 'more' : 'less'} Ω`;
		}
		case 'inspection-stop':
			return wordsOf(facts.reasons);
		case 'inspection-look':
			return wordsOf(facts.seen) || 'sleeve';
		case 'inspection-unsure':
			return 'not sure';
		case 'nearly-empty':
			return 'nearly empty';
		case 'mass-outlier':
			return valueOf(facts.relativeDifference) < 0 ? 'lighter' : 'heavier';
		case 'thickness-outlier':
			return `${Math.abs(valueOf(facts.differenceMm)).toFixed(1)} mm ${valueOf(facts.differenceMm) > 0 ? 'thicker' : 'thinner'}`;
		case 'cells-unlike':
			return 'unlike';
		case 'code-unreadable':
		case 'code-chemistry':
		case 'code-after-arrival':
		case 'code-twice':
			return 'code?';
		case 'code-older-than-promised':
		case 'print-older-than-promised':
			return 'older';
		default:
			return title;
	}
}
