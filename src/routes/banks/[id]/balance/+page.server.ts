import { idOf } from '$lib/server/http/endpoint';
import { balanceState } from '$lib/server/services/balance-service';
import { instrumentChoices } from '$lib/server/services/instrument-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => ({
	balance: await balanceState(idOf(params.id, 'bank')),
	instruments: await instrumentChoices()
});
