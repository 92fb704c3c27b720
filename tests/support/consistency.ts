import { expect } from 'vitest';
import type { StageVerdict } from '$lib/core/foundation/verdicts';
import { loadBankPicture } from '$lib/server/bank-picture/load';
import { judgePicture } from '$lib/server/judgements/judge';
import { bankVerdicts } from '$lib/server/judgements/store';
import { homeOverview, bankOverview } from '$lib/server/home/overview';
import { planPage } from '$lib/server/stages/plan/page';
import { receivePage } from '$lib/server/stages/receive/page';
import { testPage } from '$lib/server/stages/test/page';
import { matchPage } from '$lib/server/stages/match/page';
import { balancePage } from '$lib/server/stages/balance/page';
import { buildPage } from '$lib/server/stages/build/page';
import { limitsPage } from '$lib/server/stages/limits/page';
import { provePage } from '$lib/server/stages/prove/page';
import { servePage } from '$lib/server/stages/serve/page';

const PAGES = {
	plan: planPage,
	receive: receivePage,
	test: testPage,
	match: matchPage,
	balance: balancePage,
	build: buildPage,
	limits: limitsPage,
	prove: provePage,
	serve: (bankId: number) => servePage(bankId, 1)
};
const sentences = ({ code, title, finding, doubt, rule, next }: StageVerdict) => ({
	code,
	title,
	finding,
	doubt,
	rule,
	next
});
const words = (v: { code: string; title: string; finding: string; doubt: string | null }) =>
	[v.code, v.title, v.finding, v.doubt].join(' | ');

/** Home, the rail, the pages and the verdicts say the same of every bank that Home lists. */
export async function expectOneVoice(): Promise<void> {
	const { real, rehearsals } = await homeOverview(new URLSearchParams());
	for (const listed of [...real, ...rehearsals]) {
		const overview = await bankOverview(listed.id);
		const verdicts = await bankVerdicts(listed.id);
		// What is stored as code and facts reads like what is judged now.
		const judgedNow = await judgePicture(await loadBankPicture(listed.id));
		expect(verdicts.map(sentences)).toEqual(judgedNow.verdicts.map(sentences));
		expect(listed.stages).toEqual(overview.stages);
		if (listed.isOver) {
			// A rehearsal that is over says what it found, and asks nothing on Home.
			expect(listed).toMatchObject({ first: null, needing: 0, warmth: 'calm' });
			continue;
		}
		expect(listed.first).toEqual(overview.first);
		expect(listed.needing).toBe(verdicts.filter((v) => v.warmth !== 'calm').length);
		for (const { stage, open, warmth } of overview.stages) {
			const own = await bankVerdicts(listed.id, stage);
			expect(own).toEqual(verdicts.filter((v) => v.stage === stage));
			const looks = own.filter((v) => v.warmth === 'look' || v.warmth === 'stop').length;
			if (looks) expect(open).toBe(String(looks));
			expect(warmth).toBe(['stop', 'look', 'open', 'calm'].find((w) => own.some((v) => v.warmth === w)) ?? 'calm');
			if (stage in PAGES) {
				const page = await PAGES[stage as keyof typeof PAGES](listed.id);
				expect(page.verdicts.map(words)).toEqual(own.map(words));
			}
		}
	}
}
