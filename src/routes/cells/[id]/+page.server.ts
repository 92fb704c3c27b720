import { formFields } from '$lib/input/form-fields';
import { idOf } from '$lib/server/http/endpoint';
import { formAction } from '$lib/server/http/form-action';
import { loaded } from '$lib/server/http/load';
import { cellPassport } from '$lib/server/passport/passport';
import { createIn } from '$lib/server/collections/collections';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => loaded((async () => cellPassport(idOf(params.id, 'cell')))());

export const actions: Actions = {
	note: formAction(async (form, { params }) => {
		await createIn('notes', { ...formFields(form, { text: 'text' }), cellId: idOf(params.id!, 'cell') });
		return { said: 'The note is kept.' };
	})
};
