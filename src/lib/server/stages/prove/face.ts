import { judgeProveStage } from '$lib/core/prove/judge';
import type { BankPicture } from '$lib/core/picture';
import type { ProveRecords } from '$lib/core/prove/state';
import { bmsComparisons, chargeCounts, loadReadings } from '../../records';
import { buildFacts } from '../../bank-picture/build-records';
import { latestBy } from '../../bank-picture/latest-by';
import { defineStage } from '../../judgements/stage-face';

/** What was written down while a bank was proved, and while it was built. */
export async function proveFacts(picture: BankPicture): Promise<ProveRecords> {
	const batteryId = picture.batteries.map((b) => b.id);
	const ofEach = <Row extends { batteryId: number }>(rows: Row[]) => latestBy(rows, (r) => String(r.batteryId));
	const [build, loads, comparisons, counts] = await Promise.all([
		buildFacts(picture),
		batteryId.length ? loadReadings.all({ batteryId }) : [],
		batteryId.length ? bmsComparisons.all({ batteryId }) : [],
		batteryId.length ? chargeCounts.all({ batteryId }) : []
	]);
	return {
		build,
		loadReadings: ofEach(loads),
		bmsComparisons: ofEach(comparisons),
		chargeCounts: ofEach(counts)
	};
}

export const proveStage = defineStage({ name: 'prove', facts: proveFacts, judge: judgeProveStage });
