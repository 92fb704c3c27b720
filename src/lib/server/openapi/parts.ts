/** Pieces of an OpenAPI description. */
export type Json = Record<string, unknown>;

export const json = (schema: Json): Json => ({ 'application/json': { schema } });
export const ref = (name: string): Json => ({ $ref: `#/components/schemas/${name}` });
const problem = (description: string): Json => ({
	description,
	content: { 'application/problem+json': { schema: ref('Problem') } }
});
/** What every operation may answer instead, by status: described once. */
export const PROBLEMS: Readonly<Record<string, Json>> = {
	400: problem('Not readable'),
	404: problem('No such record'),
	405: problem('These records follow from others: they are read, not written'),
	408: problem('The body came too slowly'),
	409: problem('Changed elsewhere, or in conflict'),
	413: problem('Body too large'),
	415: problem('Another content-type is wanted'),
	422: problem('Input not accepted; `errors` has the path of each bad field'),
	503: problem('The database is away; it is started again')
};
const ERRORS: Json = Object.fromEntries(
	Object.keys(PROBLEMS).map((status) => [status, { $ref: `#/components/responses/${status}` }])
);
export const path = (name: string, type = 'integer'): Json => ({ name, in: 'path', required: true, schema: { type } });
export const query = (name: string, type: string, required = false): Json => ({
	name,
	in: 'query',
	required,
	schema: { type }
});

export function operation(summary: string, more: Json = {}, status = 200): Json {
	const { body, result, ...rest } = more as { body?: Json; result?: Json };
	return {
		summary,
		...rest,
		...(body ? { requestBody: { required: true, content: body } } : {}),
		responses: {
			[status]: {
				description: status === 204 ? 'Done' : 'OK',
				...(status === 204 ? {} : { content: result ?? json({ type: 'object' }) })
			},
			...ERRORS
		}
	};
}

/** A write that may be sent again with the same key: the second time it answers 200. */
export const repeatable = (written: Json, result: Json): Json => ({
	...written,
	responses: {
		...(written.responses as Json),
		200: { description: 'It had been stored before, by a request with this `clientKey`', content: result }
	}
});
