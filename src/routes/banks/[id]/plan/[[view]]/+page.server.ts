import { bankFromForm } from '$lib/input/bank-form';
import { idOf } from '$lib/server/http/endpoint';
import { formAction } from '$lib/server/http/form-action';
import { viewAsked } from '$lib/server/http/last-view';
import { loaded } from '$lib/server/http/load';
import { CSV_TABLES } from '$lib/server/exchange/export';
import { changeIn } from '$lib/server/collections/collections';
import { planPage } from '$lib/server/stages/plan/page';
import type { Actions, PageServerLoad } from './$types';

const VIEWS = ['bank', 'need', 'layout', 'year', 'buy'] as const;

export const load: PageServerLoad = async ({ params, cookies }) => ({
	...(await loaded((async () => planPage(idOf(params.id, 'bank')))())),
	view: viewAsked(params.view, VIEWS, 'plan', cookies),
	tables: CSV_TABLES
});

export const actions: Actions = {
	/** A bank and, where its figures were open, its cell type: both or neither. */
	save: formAction(async (form, { params, locals }) => {
		await changeIn('banks', idOf(params.id!, 'bank'), bankFromForm(form, locals.settings.units));
		return { said: 'Saved.' };
	})
};
