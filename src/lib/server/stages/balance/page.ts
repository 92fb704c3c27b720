import { bankCapacities } from '$lib/core/test/capacities';
import { methodStanding } from '$lib/core/balance/state';
import { stoppedCells } from '$lib/core/receive/trays';
import { cellsOf } from '$lib/core/foundation/verdicts';
import { loadBankPicture } from '../../bank-picture/load';
import { bankVerdicts } from '../../judgements/store';
import { methodRuns, plans } from '../../records';
import { pauseOf } from './pause-of';
import { balanceFacts } from './face';
import { methodOf } from '../../bank-picture/method-run';
import { instrumentChoices } from '../../address-book/instruments';
import { benchClock, roomTemperatureC } from '../../rehearsals/bench/bench';
import { pageOf } from '../page';

/** More of them nobody looks back at on a page. */
const MAX_ENDED = 12;
/** Balances by steps that were ended, the latest first. */
async function endedSteps(bankId: number) {
	const ended = (await methodRuns.all({ bankId })).filter((r) => r.endedAt !== null).slice(-MAX_ENDED);
	return Promise.all(ended.reverse().map(async (row) => ({ run: (await methodOf(row)).run })));
}

/** @param chosen cells for a balance that is still to be planned; none: as it stands */
export const balancePage = (bankId: number, chosen: readonly number[] = []) =>
	pageOf(
		bankId,
		'balance',
		(async () => {
			const picture = await loadBankPicture(bankId);
			const balance = await balanceFacts(picture, chosen.length ? chosen : null);
			const inRow = new Set(balance.cells.map((c) => c.id));
			const stops = (await bankVerdicts(bankId, 'receive')).filter((v) => v.warmth === 'stop' && !v.setApart);
			const stopped = new Set(stops.flatMap(cellsOf));
			const outOfUse = stoppedCells(picture);
			const capacities = new Map(bankCapacities(picture).map((c) => [c.cell.id, c.capacityAh]));
			const [plan] = await plans.all({ bankId });
			return {
				balance,
				planned: {
					hoursADay: plan?.supplyHoursADay ?? null,
					stringSupplyA: plan?.seriesChargeA ?? null,
					barsForCells: plan?.barsForCells ?? null
				},
				mayStand: picture.cells.map(({ id, label, groupId }) => {
					const placed = groupId !== null;
					return {
						id,
						label,
						placed,
						inRow: inRow.has(id),
						stopped: outOfUse.has(id),
						capacityAh: capacities.get(id) ?? null
					};
				}),
				instruments: await instrumentChoices(),
				roomC: await roomTemperatureC(bankId),
				clock: await benchClock(picture.bank),
				steps: picture.methodRun && {
					run: picture.methodRun.run,
					state: methodStanding(picture)!,
					groupAh: picture.methodRun.world.groupAh
				},
				endedSteps: await endedSteps(bankId),
				pause: pauseOf(picture, balance.readings, stopped)
			};
		})()
	);
