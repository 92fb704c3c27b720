import { matchState } from '$lib/core/match/state';
import { mean } from 'd3-array';
import { loadBankPicture } from '../../bank-picture/load';
import { currentPlacements } from '../../bank-picture/placements';
import { pageOf } from '../page';

export const matchPage = (bankId: number) =>
	pageOf(
		bankId,
		'match',
		(async () => {
			const picture = await loadBankPicture(bankId);
			const priced = picture.deliveries.filter((d) => d.cellPrice !== null);
			const ratedAh = picture.cellType?.ratedAh ?? null;
			return {
				...matchState(picture),
				placements: await currentPlacements(bankId),
				/** What an Ah of a group is worth. */
				worth: {
					ratedAh: ratedAh === null ? null : ratedAh * picture.bank.parallel,
					endFraction: picture.bank.endFraction,
					currency: picture.currency,
					pricePerAh: priced.length && ratedAh ? mean(priced, (d) => Number(d.cellPrice))! / ratedAh : null
				}
			};
		})()
	);
