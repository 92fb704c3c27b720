import { LRUCache } from 'lru-cache';
import { judgeCheck, type BatteryContext, type CheckJudgement, type ServiceCheck } from '$lib/core/service';

const known = new LRUCache<string, CheckJudgement>({ max: 2000 });

/** As the core's judgement, worked out once for the same check: a bank of many years is judged anew at every write. */
export function checkJudgement(check: ServiceCheck, battery: BatteryContext): CheckJudgement {
	const { context, currentA, groupVoltagesV, passings, anchor } = check;
	const seen = { context, currentA, groupVoltagesV, passings: passings ?? null, anchor: anchor ?? null };
	const key = JSON.stringify([seen, battery]);
	const judgement = known.get(key) ?? judgeCheck(seen, battery);
	known.set(key, judgement);
	return judgement;
}
