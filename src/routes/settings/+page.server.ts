import { formFields } from '$lib/input/form-fields';
import { formAction } from '$lib/server/http/form-action';
import { changeSettings } from '$lib/server/settings/settings';
import type { Actions } from './$types';

const KINDS = {
	units: 'text',
	dateStyle: 'text',
	theme: 'text',
	wakeFromH: 'number',
	wakeUntilH: 'number',
	currency: 'text',
	voltMeterPercent: 'number',
	voltMeterCountsMv: 'number',
	ohmMeterPercent: 'number',
	ohmMeterCountsMohm: 'number'
} as const;

export const actions: Actions = {
	default: formAction(async (form, { locals }) => {
		// The page that answers is drawn by what has just been chosen.
		locals.settings = await changeSettings(formFields(form, KINDS));
		return { said: 'Kept.' };
	})
};
