import { buildState } from '$lib/core/build/state';
import { loadBankPicture } from '../../bank-picture/load';
import { buildFacts } from '../../bank-picture/build-records';
import { instrumentChoices } from '../../address-book/instruments';
import { pageOf } from '../page';
import { cellNames } from '../../bank-picture/cell-names';

export const buildPage = (bankId: number) =>
	pageOf(
		bankId,
		'build',
		(async () => {
			const picture = await loadBankPicture(bankId);
			return {
				builds: buildState(picture, await buildFacts(picture)),
				cellNames: cellNames(picture),
				instruments: await instrumentChoices()
			};
		})()
	);
