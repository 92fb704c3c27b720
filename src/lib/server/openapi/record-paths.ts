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

/** What a record is made of, or with `id` and `version` changed by; with the parents that may come along. */
function bodyOf({ parents, sentAlong = {} }: RecordKind, input: InputClass<object>): Json {
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
	if (along.length === 0) return ref(input.name);
	return { allOf: [ref(input.name), { type: 'object', properties: Object.fromEntries(along) }] };
}

/** The general addresses of every kind of record. */
export function recordPaths(): Json {
	return Object.fromEntries(
		OPEN_KINDS.flatMap((kind) => {
			const { name, createInput, changeInput, filters, keyed } = kind;
			const record = json(ref('Recorded'));
			const post = createInput
				? operation(`Create one of ${name}`, { body: json(bodyOf(kind, createInput)), result: record }, 201)
				: null;
			const change = {
				allOf: [
					{ ...(changeInput ? bodyOf(kind, changeInput) : {}), description: 'Any of these fields' },
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
							result: json(pageOf(ref('Recorded')))
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
						...(createInput
							? { delete: operation('Soft delete', { parameters: [query('version', 'integer', true)] }, 204) }
							: {})
					}
				],
				...(createInput
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
