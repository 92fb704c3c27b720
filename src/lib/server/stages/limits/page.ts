import { limitsState } from '$lib/core/limits/state';
import { loadBankPicture } from '../../bank-picture/load';
import { pageOf } from '../page';

export const limitsPage = (bankId: number) =>
	pageOf(bankId, 'limits', (async () => ({ limits: limitsState(await loadBankPicture(bankId)) }))());
