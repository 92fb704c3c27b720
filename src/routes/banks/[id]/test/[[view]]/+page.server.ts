import { formFields } from '$lib/input/form-fields';
import { idOf } from '$lib/server/http/endpoint';
import { formAction } from '$lib/server/http/form-action';
import { viewAsked } from '$lib/server/http/last-view';
import { loaded } from '$lib/server/http/load';
import { createIn } from '$lib/server/collections/collections';
import { testPage } from '$lib/server/stages/test/page';
import type { Actions, PageServerLoad } from './$types';

/** Whether the cell was full when it was put on, as the form says it. */
const STARTED_FULL: Record<string, boolean> = { yes: true, no: false };

const VIEWS = ['results', 'notes', 'queue', 'witnesses', 'loads'] as const;

export const load: PageServerLoad = async ({ params, cookies }) => ({
	...(await loaded((async () => testPage(idOf(params.id, 'bank')))())),
	view: viewAsked(params.view, VIEWS, 'test', cookies)
});

export const actions: Actions = {
	/** A capacity result written down by hand. */
	hand: formAction(async (form, { locals }) => {
		const kinds = {
			cellId: 'number',
			capacityAh: 'number',
			sdAh: 'number',
			energyWh: 'number',
			currentA: 'number',
			powerW: 'number',
			cutoffV: 'number',
			testedDoubtS: 'number',
			temperatureC: 'temperature',
			heldAtC: 'temperature',
			restS: { times: 3600 },
			tester: 'text',
			testedAt: 'text'
		} as const;
		const { testedAt, ...fields } = formFields(form, kinds, locals.settings.units);
		await createIn('runs', {
			...fields,
			...(testedAt ? { testedAt } : {}),
			startedFull: STARTED_FULL[String(form.get('startedFull'))] ?? null
		});
		return { said: 'The run is stored.' };
	})
};
