import { formFields, type FieldKind } from '$lib/input/form-fields';
import { idOf } from '$lib/server/http/endpoint';
import { formAction } from '$lib/server/http/form-action';
import { viewAsked } from '$lib/server/http/last-view';
import { loaded } from '$lib/server/http/load';
import { changeIn, createIn } from '$lib/server/collections/collections';
import { receivePage } from '$lib/server/stages/receive/page';
import type { Actions, PageServerLoad } from './$types';

const VIEWS = ['readings', 'look', 'codes', 'order', 'modules', 'report'] as const;

export const load: PageServerLoad = async ({ params, cookies }) => ({
	...(await loaded((async () => receivePage(idOf(params.id, 'bank')))())),
	view: viewAsked(params.view, VIEWS, 'receive', cookies)
});

const TEXTS = [
	...['name', 'receivedOn', 'supplier', 'notes', 'orderedOn', 'promisedOn', 'promisedGrade'],
	...['promisedTerminals', 'promisedClause', 'promisedProducedOn']
];
const NUMBERS = [
	...['id', 'version', 'cellPrice', 'shipping', 'promisedAh', 'promisedResistanceMohm', 'claimDays'],
	...['gradeCapacityAh', 'gradeResistanceMohm']
];
const ORDER_FIELDS: Record<string, FieldKind> = {
	...Object.fromEntries(TEXTS.map((name) => [name, 'text' as const])),
	...Object.fromEntries(NUMBERS.map((name) => [name, 'number' as const])),
	used: 'truth'
};

export const actions: Actions = {
	/** What was ordered and promised. */
	order: formAction(async (form) => {
		const { id, ...fields } = formFields(form, ORDER_FIELDS);
		await changeIn('deliveries', idOf(String(id ?? ''), 'delivery'), fields as Record<string, unknown>);
		return { said: 'Kept.' };
	}),
	/** An order that has not come yet: new, or changed. */
	ordered: formAction(async (form, { params }) => {
		const kinds: Record<string, FieldKind> = { ...ORDER_FIELDS, cellCount: 'number' };
		const { id, ...fields } = formFields(form, kinds);
		const bankId = idOf(params.id!, 'bank');
		if (id) await changeIn('orders', idOf(String(id), 'order'), fields as Record<string, unknown>);
		else await createIn('orders', { ...fields, bankId });
		return { said: 'The order is saved.' };
	})
};
