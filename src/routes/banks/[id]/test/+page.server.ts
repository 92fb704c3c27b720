import { formFields } from '$lib/input/form-fields';
import { idOf } from '$lib/server/http/endpoint';
import { formAction } from '$lib/server/http/form-action';
import { loaded } from '$lib/server/http/load';
import { createIn } from '$lib/server/services/record-service';
import { testPage } from '$lib/server/services/stage-page-service';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => loaded((async () => testPage(idOf(params.id, 'bank')))());

export const actions: Actions = {
	/** A capacity result written down by hand. */
	hand: formAction(async (form, { locals }) => {
		const kinds = { cellId: 'number', capacityAh: 'number', sdAh: 'number', temperatureC: 'temperature' } as const;
		await createIn('runs', formFields(form, kinds, locals.settings.units));
		return { said: 'The run is stored.' };
	})
};
