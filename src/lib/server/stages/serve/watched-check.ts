import { USUAL_BMS_SD_V } from '$lib/core/prove/proofs';
import { groupPassings } from '$lib/core/foundation/snapshot';
import { ratedGroupAh } from '$lib/core/serve/state';
import type { WatchedCheckInput } from '$lib/input/live';
import { loadBankPicture } from '../../bank-picture/load';
import { readLiveSamples } from '../../db/live-samples';
import { ServiceError } from '../../errors';
import { liveRuns } from '../../records';
import { recordKind } from '../../records/registry';
import { createRecord } from '../../records/write';

/** A charge near full is told by no more than so much of its log, ms. */
const LOOK_BACK_MS = 24 * 3_600_000;

/**
 * Keeps what the groups of a watched battery last read as a check of its bank; read full, with the Ah counted between the groups'
 * passings of one voltage in the charge that led there. @throws ServiceError 409 while no groups were read
 */
export async function keepWatchedCheck(liveRunId: number, { context, battery }: WatchedCheckInput) {
	const run = await liveRuns.get(liveRunId);
	const untilMs = run.progress.last?.atMs ?? 0;
	const samples = await readLiveSamples(liveRunId, { afterMs: untilMs - LOOK_BACK_MS });
	const last = samples.findLast((s) => s.groupsV?.length);
	if (!last) throw new ServiceError(409, 'no-groups', 'No groups were read yet: nothing was kept.');
	const picture = await loadBankPicture(run.bankId);
	const number = battery ?? 1;
	const own = picture.batteries.find((b) => b.number === number);
	const passings =
		context === 'full' && own
			? groupPassings({
					chemistry: picture.bank.chemistry,
					groupAh: ratedGroupAh(picture, own),
					samples: samples.map((s) => ({ ...s, groupsV: s.groupsV?.length ? s.groupsV : null })),
					meterSdV: USUAL_BMS_SD_V
				})
			: null;
	return createRecord(recordKind('service-checks'), {
		bankId: run.bankId,
		battery: number,
		checkedAt: new Date(last.atMs).toISOString(),
		context,
		currentA: last.currentA,
		groupVoltagesV: last.groupsV,
		passings
	});
}
