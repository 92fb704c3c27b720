import { formFields } from '$lib/input/form-fields';
import { idOf } from '$lib/server/http/endpoint';
import { formAction } from '$lib/server/http/form-action';
import { viewAsked } from '$lib/server/http/last-view';
import { loaded } from '$lib/server/http/load';
import { keepTemporaryPart, keepTorques, keepWiringOf, keepWork, takeOutPart } from '$lib/server/stages/build/forms';
import { buildPage } from '$lib/server/stages/build/page';
import type { Actions, PageServerLoad } from './$types';

const VIEWS = ['leads', 'joints', 'wiring', 'parts'] as const;

export const load: PageServerLoad = async ({ params, cookies, url }) => ({
	...(await loaded((async () => buildPage(idOf(params.id, 'bank')))())),
	view: viewAsked(params.view, VIEWS, 'build', cookies),
	battery: Math.max(1, Math.floor(Number(url.searchParams.get('battery') ?? 1)) || 1)
});

const batteryFields = { batteryId: 'number' } as const;

export const actions: Actions = {
	torque: formAction(async (form, { params, locals }) => {
		const kinds = { ...batteryFields, torqueNm: 'torque', tightenedAt: 'text' } as const;
		const positions = form.getAll('position').map(Number);
		const kept = await keepTorques(idOf(params.id!, 'bank'), positions, formFields(form, kinds, locals.settings.units));
		return { said: kept === 1 ? 'The joint is ticked.' : `${kept} joints are ticked.` };
	}),
	work: formAction(async (form, { params }) => {
		const kinds = { ...batteryFields, what: 'text', positions: 'text', doneAt: 'text' } as const;
		await keepWork(idOf(params.id!, 'bank'), formFields(form, kinds));
		return { said: 'Recorded. What rests on it is to be checked again.' };
	}),
	part: formAction(async (form, { params }) => {
		await keepTemporaryPart(idOf(params.id!, 'bank'), formFields(form, { ...batteryFields, name: 'text' }));
		return { said: 'Noted. Prove stays shut until it is out.' };
	}),
	partOut: formAction(async (form, { params }) => {
		await takeOutPart(idOf(params.id!, 'bank'), formFields(form, { id: 'number', version: 'number' }));
		return { said: 'It is out.' };
	}),
	wiring: formAction(async (form, { params }) => {
		const kinds = {
			...batteryFields,
			bmsA: 'number',
			bmsResolutionV: { times: 0.001 },
			fuseA: 'number',
			cableA: 'number',
			standbyA: { times: 0.001 },
			version: 'number'
		} as const;
		await keepWiringOf(idOf(params.id!, 'bank'), formFields(form, kinds));
		return { said: 'Kept. Limits uses them.' };
	})
};
