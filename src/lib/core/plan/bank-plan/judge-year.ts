import { HARDLY_EVER, say } from '../verdicts';
import type { YearOfUse } from '../use-year';
import { WHOLE_BANK, type Subject, type Verdict } from '../../foundation/verdicts';

/** What a drawn year says of the plan. */
export function judgeYear(year: YearOfUse, subject: Subject = WHOLE_BANK): Verdict {
	const { daysEmptyShare: share, kwhMissing, emptyByMonth, isUsualSun } = year;
	if (share.high95 <= HARDLY_EVER) return say('year-holds', 'calm', subject, { share, kwhMissing, isUsualSun });
	const darkestShare = Math.max(...emptyByMonth);
	const facts = { share, darkestMonth: emptyByMonth.indexOf(darkestShare), darkestShare, kwhMissing, isUsualSun };
	return say('year-dark', 'look', subject, facts);
}
