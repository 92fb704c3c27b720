import { createHash } from 'node:crypto';
import { judgeCheck, type BatteryContext, type CheckJudgement, type ServiceCheck } from '$lib/core/serve/years';
import { EDITION, keptVerdict, worded } from '$lib/core/bank';
import { database } from '../../db/connection';

/** Judges checks, and remembers what was judged before. */
export interface CheckJudge {
	judge(check: ServiceCheck, battery: BatteryContext): CheckJudgement;
	/** Keeps what was judged now; what nothing asks for any more is forgotten. */
	keep(): Promise<void>;
}

/** A judgement takes some milliseconds: a few are made in passing, many of them by the thread that judges banks. */
const IN_PASSING = 12;
const BEING_JUDGED = 'Being judged: look again in a moment.';

/** As it is stored: verdicts as code and facts. */
type KeptJudgement = Omit<CheckJudgement, 'verdicts'> & { verdicts: ReturnType<typeof keptVerdict>[] };
const kept = (judgement: CheckJudgement): KeptJudgement => ({
	...judgement,
	verdicts: judgement.verdicts.map((v) => keptVerdict(v))
});
const inWords = (stored: KeptJudgement): CheckJudgement => ({
	...stored,
	verdicts: stored.verdicts.map((v) => worded(v))
});

const keyOf = (seen: unknown): string =>
	createHash('sha1')
		.update(JSON.stringify([EDITION, seen]))
		.digest('hex');

/**
 * As the core's judgement, worked out once for the same check and battery under the same rules.
 * @param most judged anew at once; the others are told to be judged. All when missing
 */
export async function checkJudge(bankId: number, most = Infinity): Promise<CheckJudge> {
	const table = () => database()('judged_checks');
	const rows = (await table().where({ bank_id: bankId }).select('seen', 'judgement')) as {
		seen: string;
		judgement: string;
	}[];
	const before = new Map(rows.map((r) => [r.seen, r.judgement]));
	const made = new Map<string, CheckJudgement>();
	const asked = new Set<string>();
	return {
		judge(check, battery) {
			const { context, currentA, groupVoltagesV, passings, anchor } = check;
			const seen = { context, currentA, groupVoltagesV, passings: passings ?? null, anchor: anchor ?? null };
			const key = keyOf([seen, battery]);
			asked.add(key);
			const known = before.get(key);
			if (known !== undefined) return inWords(JSON.parse(known) as KeptJudgement);
			const again = made.get(key);
			if (again) return again;
			if (made.size >= most)
				return { judged: false, reason: BEING_JUDGED, driftAh: groupVoltagesV.map(() => null), verdicts: [] };
			const judgement = judgeCheck(seen, battery);
			made.set(key, judgement);
			return judgement;
		},
		async keep() {
			const left = rows.filter((r) => !asked.has(r.seen)).map((r) => r.seen);
			if (left.length) await table().where({ bank_id: bankId }).whereIn('seen', left).delete();
			if (made.size === 0) return;
			await table()
				.insert([...made].map(([seen, j]) => ({ bank_id: bankId, seen, judgement: JSON.stringify(kept(j)) })))
				.onConflict(['bank_id', 'seen'])
				.ignore();
		}
	};
}

/** For whoever waits at a page. */
export const checkJudgeInPassing = (bankId: number): Promise<CheckJudge> => checkJudge(bankId, IN_PASSING);
