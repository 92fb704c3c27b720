import { formFields } from '$lib/input/form-fields';
import { idOf } from '$lib/server/http/endpoint';
import { formAction } from '$lib/server/http/form-action';
import { viewAsked } from '$lib/server/http/last-view';
import { loaded } from '$lib/server/http/load';
import { logCapacityTest } from '$lib/server/stages/serve/capacity-test';
import { servePage } from '$lib/server/stages/serve/page';
import type { Actions, PageServerLoad } from './$types';

const VIEWS = ['findings', 'logs', 'ageing'] as const;

export const load: PageServerLoad = async ({ params, url, cookies }) => {
	const battery = Math.max(1, Math.floor(Number(url.searchParams.get('battery') ?? 1)) || 1);
	return {
		...(await loaded((async () => servePage(idOf(params.id, 'bank'), battery))())),
		battery,
		view: viewAsked(params.view, VIEWS, 'serve', cookies)
	};
};

export const actions: Actions = {
	test: formAction(async (form, { params }) => {
		const kinds = {
			battery: 'number',
			testedAt: 'text',
			testedDoubtS: 'number',
			capacityAh: 'number',
			sdAh: 'number',
			efc: 'number',
			temperatureC: 'number'
		} as const;
		await logCapacityTest(idOf(params.id!, 'bank'), formFields(form, kinds));
		return { said: 'The test is kept.' };
	})
};
