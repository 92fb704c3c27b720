import { formFields } from '$lib/input/form-fields';
import { InputError } from '$lib/input/validate';
import { formAction } from '$lib/server/http/form-action';
import { loaded } from '$lib/server/http/load';
import { restoreIn } from '$lib/server/collections/collections';
import { takenOut } from '$lib/server/home/taken-out';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ records: await loaded(takenOut()) });

export const actions: Actions = {
	back: formAction(async (form) => {
		const { kind, id } = formFields(form, { kind: 'text', id: 'number' });
		if (typeof kind !== 'string' || typeof id !== 'number')
			throw new InputError([{ path: 'id', message: 'Choose what is to be brought back.' }]);
		await restoreIn(kind, id);
		return { said: 'It is back where it was.' };
	})
};
