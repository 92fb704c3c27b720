import type { InputClass } from '$lib/input/validate';
import type { RecordKind } from '../records/kind';
import { OPEN_KINDS, recordKind } from '../records/registry';
import { json, operation, path, query, ref, repeatable, type Json } from './parts';

const pageOf = (items: Json): Json => ({
	type: 'object',
	required: ['items', 'page', 'size', 'total'],
	properties: {
		items: { type: 'array', items },
		page: { type: 'integer' },
		size: { type: 'integer' },
		total: { type: 'integer' }
	}
});

/** Name of the schema of a change, and of what a stored one is sure to be: any of the fields a new one is made from. */
export const changeName = (input: InputClass<object>): string => input.name.replace(/Input$/, 'Change');

/** What a record is made of, or with `id` and `version` changed by; with the parents that may come along. */
function bodyOf({ parents, sentAlong = {} }: RecordKind, name: string): Json {
	const along = Object.entries(sentAlong).map(([name, field]) => {
		const parent = recordKind(parents[field]!.replace(/\?$/, ''));
		return [
			name,
			{
				...(parent.createInput ? ref(parent.createInput.name) : {}),
				description: `New; with its \`id\` and \`version\`, changed`
			}
		];
	});
	if (along.length === 0) return ref(name);
	return { allOf: [ref(name), { type: 'object', properties: Object.fromEntries(along) }] };
}

/** The general addresses of every kind of record. */
export function recordPaths(): Json {
	return Object.fromEntries(
		OPEN_KINDS.flatMap((kind) => {
			const { name, createInput, changeInput, filters, keyed } = kind;
			const stored: Json = createInput ? { allOf: [ref('Recorded'), ref(changeName(createInput))] } : ref('Recorded');
			const record = json(stored);
			const post = createInput
				? operation(`Create one of ${name}`, { body: json(bodyOf(kind, createInput.name)), result: record }, 201)
				: null;
			const change = {
				allOf: [
					...(changeInput ? [bodyOf(kind, changeName(changeInput))] : []),
					{ type: 'object', required: ['version'], properties: { version: { type: 'integer' } } }
				]
			};
			return [
				[
					`/api/v1/${name}`,
					{
						get: operation(`List ${name}`, {
							parameters: [
								query('page', 'integer'),
								query('size', 'integer'),
								...filters.map((f) =>
									query(f, /Id$|^battery$|^position$/.test(f) && f !== 'subjectId' ? 'integer' : 'string')
								)
							],
							result: json(pageOf(stored))
						}),
						...(post ? { post: keyed ? repeatable(post, record) : post } : {})
					}
				],
				[
					`/api/v1/${name}/{id}`,
					{
						parameters: [path('id')],
						get: operation(`Read one of ${name}`, { result: record }),
						...(changeInput
							? {
									patch: operation('Change; refused with 409 when `version` is stale', {
										body: json(change),
										result: record
									})
								}
							: {}),
						...(createInput || changeInput
							? { delete: operation('Soft delete', { parameters: [query('version', 'integer', true)] }, 204) }
							: {})
					}
				],
				...(createInput || changeInput
					? [
							[
								`/api/v1/${name}/{id}/restore`,
								{ parameters: [path('id')], post: operation('Undo a soft delete', { result: record }) }
							]
						]
					: [])
			];
		})
	);
}
