import type { BankPicture } from '$lib/core/picture';
import type { BuildRecords } from '$lib/core/build/state';
import { jointTorques, leadReadings, temporaryParts } from '../records';
import { latestBy } from './latest-by';

/** What was written down while a bank was built. */
export async function buildFacts({ batteries }: BankPicture): Promise<BuildRecords> {
	const batteryId = batteries.map((b) => b.id);
	if (batteryId.length === 0) return { leadReadings: [], torques: [], temporaryParts: [] };
	const [leads, torques, parts] = await Promise.all([
		leadReadings.all({ batteryId }),
		jointTorques.all({ batteryId }),
		temporaryParts.all({ batteryId, takenOutAt: null })
	]);
	return {
		leadReadings: latestBy(leads, (r) => String(r.batteryId)),
		torques: latestBy(torques, (t) => `${t.batteryId} ${t.position}`),
		temporaryParts: parts
	};
}
