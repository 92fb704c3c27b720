import { loadBankPicture } from '../../bank-picture/load';
import { bankVerdicts } from '../../judgements/store';
import { serveFacts } from './face';
import { instrumentChoices } from '../../address-book/instruments';
import { placedLabels } from '../../bank-picture/placements';
import { pageOf } from '../page';

export const servePage = (bankId: number, battery: number) =>
	pageOf(
		bankId,
		'serve',
		(async () => {
			// Judged before it is shown: checks that were judged are only read.
			await bankVerdicts(bankId, 'serve');
			const all = await serveFacts(await loadBankPicture(bankId));
			return {
				serve: all.find((b) => b.battery.number === battery) ?? all[0] ?? null,
				placements: await placedLabels(bankId, battery),
				instruments: await instrumentChoices()
			};
		})()
	);
