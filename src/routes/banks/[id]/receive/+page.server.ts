import { idOf } from '$lib/server/http/endpoint';
import { deliveryTrays } from '$lib/server/services/delivery-service';
import { instrumentChoices } from '$lib/server/services/instrument-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => ({
	trays: await deliveryTrays(idOf(params.id, 'bank')),
	instruments: await instrumentChoices()
});
