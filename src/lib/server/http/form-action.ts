import { fail, isRedirect, type ActionFailure, type RequestEvent } from '@sveltejs/kit';
import { plainRefusal } from '$lib/input/plain-refusal';
import { refusalOf } from './endpoint';

/** Why a form was not taken: in words, and beside which field. What was typed comes back with it. */
export interface FormRefusal {
	message: string;
	fields: Record<string, string>;
	typed: Record<string, string>;
}
/** What was done with a form, in words for a person. */
export interface FormDone {
	said: string;
}

/**
 * A form action over a service: reads the form, does the work, and gives a refusal in words back to the page it came from.
 * @param work may throw what services throw, or redirect
 */
export const formAction =
	<Event extends RequestEvent>(work: (form: FormData, event: Event) => Promise<FormDone>) =>
	async (event: Event): Promise<FormDone | ActionFailure<FormRefusal>> => {
		let form = new FormData();
		try {
			form = await event.request.formData();
			return await work(form, event);
		} catch (error) {
			if (isRedirect(error)) throw error;
			const { status, message, faults = [] } = refusalOf(error);
			const typed = Object.fromEntries([...form].flatMap(([name, v]) => (typeof v === 'string' ? [[name, v]] : [])));
			const fields = Object.fromEntries(faults.map((f) => [f.path, plainRefusal(f.message)]));
			return fail(status, { message: plainRefusal(message), fields, typed });
		}
	};
