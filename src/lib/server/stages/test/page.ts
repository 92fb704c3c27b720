import { bindingClause } from '$lib/core/test/clauses';
import { bankCapacities, heldCapacities, protocolStrip, type CellCapacity } from '$lib/core/test/capacities';
import { waitingForTest } from '$lib/core/receive/trays';
import type { BankPicture } from '$lib/core/picture';
import { loadBankPicture } from '../../bank-picture/load';
import { notedRuns, plans, protocols } from '../../records';
import { instrumentChoices } from '../../address-book/instruments';
import { roomTemperatureC } from '../../rehearsals/bench/bench';
import { pageOf } from '../page';

/** A cell under test as its page draws it. */
const shownCapacity = (picture: BankPicture, capacity: CellCapacity) => {
	const { cell, run, capacityAh, sdAh, refused, judgement, correction } = capacity;
	return {
		cell: { id: cell.id, label: cell.label, plusTurned: cell.plusTurned },
		run,
		capacityAh,
		sdAh,
		refused,
		outcome: judgement?.outcome ?? null,
		held: heldCapacities(picture, cell.id),
		strip: protocolStrip(picture, capacity),
		correction
	};
};

export const testPage = (bankId: number) =>
	pageOf(
		bankId,
		'test',
		(async () => {
			const picture = await loadBankPicture(bankId);
			const ids = picture.cells.map((c) => c.id);
			const [plan] = await plans.all({ bankId });
			return {
				inverterStopsV: plan?.inverter?.cutoffV ?? null,
				testerA: plan?.testDeliversA ?? plan?.testA ?? null,
				waitingForTest: waitingForTest(picture),
				capacities: bankCapacities(picture).map((c) => shownCapacity(picture, c)),
				instruments: await instrumentChoices(),
				roomC: await roomTemperatureC(bankId),
				protocols: await protocols.all({}),
				clause: picture.clauses.length ? bindingClause(picture.clauses) : null,
				notedRuns: ids.length ? await notedRuns.all({ cellId: ids, runId: null }) : []
			};
		})()
	);
