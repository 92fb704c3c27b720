import { proveState } from '$lib/core/prove/state';
import { loadBankPicture } from '../../bank-picture/load';
import { proveFacts } from './face';
import { instrumentChoices } from '../../address-book/instruments';
import { pageOf } from '../page';
import { cellNames } from '../../bank-picture/cell-names';

export const provePage = (bankId: number) =>
	pageOf(
		bankId,
		'prove',
		(async () => {
			const picture = await loadBankPicture(bankId);
			const proofs = proveState(picture, await proveFacts(picture));
			return {
				proofs: proofs.map(({ verdicts: _, ...proof }) => proof),
				cellNames: cellNames(picture),
				instruments: await instrumentChoices()
			};
		})()
	);
