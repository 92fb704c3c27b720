import { seededRandom, type Random } from '$lib/core/foundation/statistics';

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };
interface Schema {
	$ref?: string;
	type?: string | string[];
	enum?: Json[];
	const?: Json;
	anyOf?: Schema[];
	oneOf?: Schema[];
	properties?: Record<string, Schema>;
	required?: string[];
	items?: Schema;
	allOf?: Schema[];
	minimum?: number;
	maximum?: number;
	minLength?: number;
	maxLength?: number;
	not?: unknown;
}
export interface OpenApi {
	paths: Record<string, Record<string, Operation> & { parameters?: Parameter[] }>;
	components: { schemas: Record<string, Schema> };
}
interface Parameter {
	name: string;
	in: 'path' | 'query';
	schema: Schema;
}
interface Operation {
	parameters?: Parameter[];
	requestBody?: { content: Record<string, { schema: Schema }> };
	responses: Record<string, { content?: Record<string, { schema: Schema }> }>;
}
export interface FuzzedRequest {
	method: string;
	path: string;
	url: string;
	contentType: string | null;
	body: string | null;
}

const METHODS = ['get', 'post', 'patch', 'delete', 'put'];
/** A stream never ends, and these drive the one simulated bench. */
const LEFT_ALONE = /live-runs\/stream|rehearsal\/(hands|probe|reveal)$|\/v1\/rehearsals$/;

/** What nobody expects in a field. */
const ODD: readonly Json[] = [
	null,
	true,
	-1,
	0,
	0.5,
	1e308,
	-1e308,
	2147483647,
	2147483648,
	4294967296,
	2 ** 53,
	'',
	' ',
	'x'.repeat(3000),
	'2026-W10-1',
	'2026-060',
	'2026-02-30',
	'9999-12-31T23:59:59Z',
	'0000-00-00',
	'\ud800',
	'\u0000',
	'<script>',
	"'; drop table banks; --",
	'=cmd()',
	'🜂'.repeat(40),
	[],
	[[[]]],
	[null],
	{},
	{ constructor: { name: 1 } },
	{ __proto__: null, toString: 1 },
	{ a: { a: { a: { a: {} } } } }
];

/** Requests by the API's own description: as it says, and broken in every way a field can be. Seeded: the same each time. */
export function fuzzer(api: OpenApi, seed: number, ids: readonly number[]) {
	const random: Random = seededRandom(seed);
	const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
	const chance = (p: number) => random() < p;
	const operations = Object.entries(api.paths).flatMap(([path, item]) =>
		LEFT_ALONE.test(path)
			? []
			: METHODS.filter((m) => m in item).map((method) => ({ path, method, operation: item[method]!, item }))
	);
	const resolved = (schema: Schema): Schema =>
		schema.$ref ? (api.components.schemas[schema.$ref.split('/').at(-1)!] ?? {}) : schema;

	function valueOf(given: Schema, name: string, depth: number): Json {
		const schema = resolved(given);
		if (schema.allOf) return Object.assign({}, ...schema.allOf.map((s) => valueOf(s, name, depth + 1)));
		const either = schema.anyOf ?? schema.oneOf;
		if (either) return valueOf(pick(either), name, depth + 1);
		if (schema.enum) return pick(schema.enum);
		if (schema.const !== undefined) return schema.const;
		if (name === 'version' && chance(0.8)) return pick([1, 1, 1, 2, 3]);
		if (/Id$|^id$/.test(name) && chance(0.8)) return pick(ids);
		const type = Array.isArray(schema.type) ? pick(schema.type) : schema.type;
		if (type === 'array')
			return Array.from({ length: 1 + Math.floor(random() * 4) }, () => valueOf(schema.items ?? {}, name, depth + 1));
		if (type === 'integer') return Math.round(number(schema));
		if (type === 'number') return number(schema);
		if (type === 'boolean') return chance(0.5);
		if (type === 'string') return text(name, schema);
		if (schema.properties || type === 'object') return object(schema, depth);
		return pick([1, 3.3, 'x', null]);
	}
	function number({ minimum = 0, maximum = 1000 }: Schema): number {
		const low = Math.max(minimum, -1e6);
		const high = Math.min(maximum, 20);
		return low + random() * Math.max(0, high - low);
	}
	function text(name: string, { maxLength = 40 }: Schema): string {
		if (/(At|On)$/.test(name)) return pick(['2026-03-09', '2026-03-09T14:05:00Z', '2025-12-31T23:59:59.999Z']);
		if (name === 'rawText') return pick(['3.291', '3291 mV', '0.18', '-3.3', '25 °C', 'low']);
		return pick(['Crate', 'ein Wort', '=1+1', '水', 'a'.repeat(Math.min(maxLength, 60))]);
	}
	function object({ properties = {}, required = [] }: Schema, depth: number): Json {
		const names = Object.keys(properties).filter((n) => required.includes(n) || chance(depth > 3 ? 0.1 : 0.6));
		return Object.fromEntries(names.map((n) => [n, valueOf(properties[n]!, n, depth + 1)]));
	}

	/** One place somewhere in a value made odd, left out, or added. */
	function broken(value: Json): Json {
		if (typeof value !== 'object' || value === null || chance(0.15)) return pick(ODD);
		if (Array.isArray(value)) {
			if (value.length === 0 || chance(0.2)) return [...value, pick(ODD)];
			const at = Math.floor(random() * value.length);
			return value.map((v, i) => (i === at ? broken(v) : v));
		}
		const names = Object.keys(value);
		if (names.length === 0 || chance(0.1))
			return { ...value, [pick(['extra', 'deletedAt', 'id', 'version', 'toString'])]: pick(ODD) };
		const name = pick(names);
		if (chance(0.15)) return Object.fromEntries(Object.entries(value).filter(([n]) => n !== name));
		return { ...value, [name]: broken(value[name]!) };
	}

	const plain = (value: Json): string =>
		(typeof value === 'object' ? JSON.stringify(value) : String(value)).toWellFormed();

	function bodyOf(operation: Operation): { contentType: string; body: string } | null {
		const content = operation.requestBody?.content;
		if (!content) return null;
		const [contentType, { schema }] = pick(Object.entries(content));
		if (contentType !== 'application/json')
			return {
				contentType,
				body: pick([
					'',
					'a,b\n1,2',
					'time_s,voltage_V,current_A\n0,3.3,-10\n60,3.2,-10\n120,3.1,-10',
					'{"format":"kind-ember-bank","formatVersion":2}\n{"kind":"banks","record":{"id":1,"name":"x"}}\n{"kind":"end"}',
					'{"format":"kind-ember-bank","formatVersion":2}\n[]\nnull',
					'\u0000\u0001'
				])
			};
		const value = valueOf(schema, '', 0);
		const sent = chance(0.45) ? value : chance(0.7) ? broken(value) : broken(broken(value));
		const text = JSON.stringify(sent) ?? 'null';
		return { contentType: chance(0.02) ? 'text/plain' : contentType, body: chance(0.02) ? text.slice(0, -1) : text };
	}

	return function next(): FuzzedRequest {
		const { path, method, operation, item } = pick(operations);
		const parameters = [...(item.parameters ?? []), ...(operation.parameters ?? [])];
		const url = path.replace(/\{(\w+)\}/g, (_, name: string) =>
			encodeURIComponent(
				name === 'id'
					? String(chance(0.85) ? pick(ids) : pick([0, -1, 1e9, 4294967296, 'abc', '1e3', '%00', '__proto__']))
					: pick(['cells.csv', 'readings', '__proto__.csv', 'constructor', 'balanceReadings.csv', '..'])
			)
		);
		const query = new URLSearchParams();
		for (const p of parameters.filter((p) => p.in === 'query' && chance(0.6)))
			query.set(
				p.name,
				chance(0.6) ? plain(valueOf(p.schema, p.name, 0)) : plain(pick([...ODD, 'NaN', '1abc', '-1'])).slice(0, 200)
			);
		const body = bodyOf(operation);
		return {
			method: method.toUpperCase(),
			path,
			url: `${url}${query.size ? `?${query}` : ''}`,
			contentType: body?.contentType ?? null,
			body: body?.body ?? null
		};
	};
}
