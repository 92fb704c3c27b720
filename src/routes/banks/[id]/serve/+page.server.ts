import { formFields } from '$lib/input/form-fields';
import { idOf } from '$lib/server/http/endpoint';
import { formAction } from '$lib/server/http/form-action';
import { loaded } from '$lib/server/http/load';
import { logCapacityTest } from '$lib/server/services/capacity-test-service';
import { servePage } from '$lib/server/services/stage-page-service';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url }) => {
	const battery = Math.max(1, Math.floor(Number(url.searchParams.get('battery') ?? 1)) || 1);
	return { ...(await loaded((async () => servePage(idOf(params.id, 'bank'), battery))())), battery };
};

export const actions: Actions = {
	test: formAction(async (form, { params }) => {
		const kinds = {
			battery: 'number',
			testedAt: 'text',
			testedDoubtS: 'number',
			capacityAh: 'number',
			sdAh: 'number',
			efc: 'number'
		} as const;
		await logCapacityTest(idOf(params.id!, 'bank'), formFields(form, kinds));
		return { said: 'The test is kept.' };
	})
};
