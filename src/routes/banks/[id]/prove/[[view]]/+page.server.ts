import { formFields } from '$lib/input/form-fields';
import { idOf } from '$lib/server/http/endpoint';
import { formAction } from '$lib/server/http/form-action';
import { viewAsked } from '$lib/server/http/last-view';
import { loaded } from '$lib/server/http/load';
import { logCapacityTest } from '$lib/server/stages/serve/capacity-test';
import { keepChargeCount } from '$lib/server/stages/prove/forms';
import { provePage } from '$lib/server/stages/prove/page';
import type { Actions, PageServerLoad } from './$types';

const VIEWS = ['gate', 'joints', 'bms', 'charge'] as const;

export const load: PageServerLoad = async ({ params, cookies, url }) => ({
	...(await loaded((async () => provePage(idOf(params.id, 'bank')))())),
	view: viewAsked(params.view, VIEWS, 'prove', cookies),
	battery: Math.max(1, Math.floor(Number(url.searchParams.get('battery') ?? 1)) || 1)
});

export const actions: Actions = {
	count: formAction(async (form, { params }) => {
		const kinds = { batteryId: 'number', chargedAh: 'number', dischargedAh: 'number', countedAt: 'text' } as const;
		await keepChargeCount(idOf(params.id!, 'bank'), formFields(form, kinds));
		return { said: 'Kept.' };
	}),
	test: formAction(async (form, { params }) => {
		const kinds = { battery: 'number', testedAt: 'text', capacityAh: 'number', sdAh: 'number' } as const;
		await logCapacityTest(idOf(params.id!, 'bank'), formFields(form, kinds));
		return { said: 'The test is kept.' };
	})
};
