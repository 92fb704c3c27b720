import { libraryOf } from '$lib/core/plan/loads';
import { doneSteps } from '$lib/core/plan/state';
import { loadBankPicture } from '../../bank-picture/load';
import { planItems, plans, priceSnapshots } from '../../records';
import { looseByCellType } from '../../bank-picture/loose-cells';
import { planTime } from './plan-time';
import { listCellTypes } from '../../stock/cell-types';
import { pageOf } from '../page';

export const planPage = (bankId: number) =>
	pageOf(
		bankId,
		'plan',
		(async () => {
			const [picture, [plan], items, snapshots, types, loose, time, everyPlan] = await Promise.all([
				loadBankPicture(bankId),
				plans.all({ bankId }),
				planItems.all({ bankId }),
				priceSnapshots.all({ bankId }),
				listCellTypes(bankId),
				looseByCellType(bankId),
				planTime(),
				plans.all({})
			]);
			const newestFirst = [...everyPlan].sort((a, b) => b.updatedAt.localeCompare(a.updatedAt));
			return {
				plan: plan ?? null,
				things: libraryOf(newestFirst.flatMap((p) => p.loads ?? [])),
				items,
				snapshots,
				cellTypes: types,
				loose,
				time,
				done: doneSteps(picture)
			};
		})()
	);
