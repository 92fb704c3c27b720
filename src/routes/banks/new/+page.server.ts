import { redirect } from '@sveltejs/kit';
import { bankFromForm } from '$lib/input/bank-form';
import { formAction } from '$lib/server/http/form-action';
import { loaded } from '$lib/server/http/load';
import { listCellTypes } from '$lib/server/stock/cell-types';
import { createIn } from '$lib/server/collections/collections';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = () => loaded(listCellTypes().then((cellTypes) => ({ cellTypes })));

export const actions: Actions = {
	default: formAction(async (form, { locals }) => {
		const { record } = await createIn('banks', bankFromForm(form, locals.settings.units));
		redirect(303, `/banks/${record.id}/plan/need`);
	})
};
