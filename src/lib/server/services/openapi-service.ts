import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import * as compute from '$lib/input/compute';
import * as live from '$lib/input/live';
import { SimulationRequest } from '$lib/input/simulation';
import { MatchGroupsInput, BalanceQuestionInput } from '$lib/input/records';
import { RECORD_KINDS } from './record-kinds';

type Json = Record<string, unknown>;

const json = (schema: Json): Json => ({ 'application/json': { schema } });
const ref = (name: string): Json => ({ $ref: `#/components/schemas/${name}` });
const problem = (description: string): Json => ({
	description,
	content: { 'application/problem+json': { schema: ref('Problem') } }
});
const ERRORS: Json = {
	404: problem('No such record'),
	409: problem('Changed elsewhere, or in conflict'),
	413: problem('Body too large'),
	422: problem('Input not accepted; `errors` has the path of each bad field')
};
const path = (name: string, type = 'integer'): Json => ({ name, in: 'path', required: true, schema: { type } });
const query = (name: string, type: string, required = false): Json => ({
	name,
	in: 'query',
	required,
	schema: { type }
});

function operation(summary: string, more: Json = {}, status = 200): Json {
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

function recordPaths(): Json {
	return Object.fromEntries(
		RECORD_KINDS.flatMap(({ name, createInput, changeInput, filters }) => {
			const pageSchema = {
				type: 'object',
				properties: {
					items: { type: 'array', items: { type: 'object' } },
					page: { type: 'integer' },
					size: { type: 'integer' },
					total: { type: 'integer' }
				}
			};
			const change = {
				allOf: [
					{ ...ref(changeInput.name), description: 'Any of these fields' },
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
								...filters.map((f) => query(f, 'string'))
							],
							result: json(pageSchema)
						}),
						post: operation(`Create one of ${name}`, { body: json(ref(createInput.name)) }, 201)
					}
				],
				[
					`/api/v1/${name}/{id}`,
					{
						parameters: [path('id')],
						get: operation(`Read one of ${name}`),
						patch: operation('Change; refused with 409 when `version` is stale', { body: json(change) }),
						delete: operation('Soft delete', { parameters: [query('version', 'integer', true)] }, 204)
					}
				],
				[`/api/v1/${name}/{id}/restore`, { parameters: [path('id')], post: operation('Undo a soft delete') }]
			];
		})
	);
}

const csvBody: Json = { 'text/csv': { schema: { type: 'string' } } };

function computePaths(): Json {
	const post = (summary: string, input: { name: string }) => ({
		post: operation(summary, { body: json(ref(input.name)) })
	});
	return {
		'/api/v1/health': { get: operation('Whether the server and its database are well') },
		'/api/v1/soc-bounds': post('State-of-charge bounds a rest voltage fits', compute.SocBoundsInput),
		'/api/v1/capacity-run/analyse': {
			post: operation('Charge, energy and faults of a capacity-run log', {
				parameters: [query('ratedAh', 'number'), query('cutoffV', 'number'), query('bridgeGaps', 'boolean')],
				body: csvBody
			})
		},
		'/api/v1/match': post('Choose cells and groups', compute.MatchInput),
		'/api/v1/simulate': post(
			'Run the model of cells, groups and batteries; refused with 422 and the reason',
			SimulationRequest
		),
		'/api/v1/limits': post('BMS, charger and load limits with reasons', compute.LimitsRequest),
		'/api/v1/fade': post('Capacity fade with its band and end of life', compute.FadeRequest),
		'/api/v1/is-balanced': post('Whether a bank is balanced, if the readings can tell', BalanceQuestionInput),
		'/api/v1/settings': {
			get: operation('Settings'),
			patch: operation('Change settings', { body: json(ref('SettingsInput')) })
		},
		'/api/v1/banks/import': {
			post: operation('Build a bank again from its exported file', { body: json({ type: 'object' }) }, 201)
		},
		'/api/v1/banks/{id}/export': { parameters: [path('id')], get: operation('The whole record of a bank as one file') },
		'/api/v1/banks/{id}/tables/{table}': {
			parameters: [path('id'), path('table', 'string')],
			get: operation('One table of a bank as CSV', { result: csvBody })
		},
		'/api/v1/banks/{id}/match': {
			parameters: [path('id')],
			post: operation('Accept groups: records placements', { body: json(ref(MatchGroupsInput.name)) }, 201)
		},
		'/api/v1/cells/{id}/runs': {
			parameters: [
				path('id'),
				query('fileName', 'string'),
				query('temperatureC', 'number'),
				query('testedAt', 'string'),
				query('bridgeGaps', 'boolean')
			],
			post: operation('Store a capacity-run log for a cell', { body: csvBody }, 201)
		},
		...livePaths(),
		'/api/v1/runs/{id}/curve': { parameters: [path('id')], get: operation('A run’s curve, thinned for drawing') }
	};
}

/** Live runs, instruments and rehearsals. */
function livePaths(): Json {
	const on = (summary: string, input?: { name: string }) => ({
		parameters: [path('id')],
		post: operation(summary, input ? { body: json(ref(input.name)) } : {})
	});
	const events: Json = { 'text/event-stream': { schema: { type: 'string' } } };
	return {
		'/api/v1/instruments/{id}/try': on('Connect, identify, take one reading'),
		'/api/v1/live-runs': {
			get: operation('List live runs', { parameters: [query('bankId', 'integer'), query('state', 'string')] }),
			post: operation('Plan a live run; nothing is switched', { body: json(ref(live.LiveRunInput.name)) }, 201)
		},
		'/api/v1/live-runs/{id}': { parameters: [path('id')], get: operation('A live run and the values to confirm') },
		'/api/v1/live-runs/{id}/begin': on(
			'Switch on and follow; the values must be confirmed word for word',
			live.LiveConfirmInput
		),
		'/api/v1/live-runs/{id}/stop': on('Outputs off, end the run'),
		'/api/v1/live-runs/{id}/samples': {
			parameters: [path('id'), query('afterMs', 'integer')],
			get: operation('Stored samples')
		},
		'/api/v1/live-runs/stream': {
			parameters: [query('samples', 'integer')],
			get: operation('Views of every live run, and samples of one, as they come (server-sent events)', {
				result: events
			})
		},
		'/api/v1/live-events/{id}/seen': on('A person has seen this event'),
		'/api/v1/rehearsals': {
			get: operation('Scenarios that can be rehearsed'),
			post: operation('Start a rehearsal on the simulated bench', { body: json(ref(live.RehearsalInput.name)) }, 201)
		},
		'/api/v1/banks/{id}/rehearsal': { parameters: [path('id')], get: operation('Where a rehearsal stands') },
		'/api/v1/banks/{id}/rehearsal/hands': on('Wiring, probes, pace of time', live.HandsInput),
		'/api/v1/banks/{id}/measure': on('Read a cell with a meter of the address book', live.MeasureInput),
		'/api/v1/banks/{id}/rehearsal/probe': on('What the voltmeter shows now'),
		'/api/v1/banks/{id}/rehearsal/reveal': on('End the rehearsal and show the truth', live.ConclusionsInput)
	};
}

const PROBLEM_SCHEMA: Json = {
	type: 'object',
	description: 'RFC 9457 problem details',
	properties: {
		type: { type: 'string' },
		title: { type: 'string' },
		status: { type: 'integer' },
		detail: { type: 'string' },
		code: { type: 'string' },
		errors: {
			type: 'array',
			items: { type: 'object', properties: { path: { type: 'string' }, message: { type: 'string' } } }
		}
	}
};

/** The API as OpenAPI 3.1, schemas made from the class-validator inputs. */
export function openApiDocument(version: string): Json {
	const schemas = validationMetadatasToSchemas({
		classTransformerMetadataStorage: defaultMetadataStorage,
		refPointerPrefix: '#/components/schemas/'
	});
	return {
		openapi: '3.1.0',
		info: {
			title: 'Kind Ember',
			version,
			description: 'Units are in the names: Ah, V, A, mΩ, s, °C. Current is positive into the battery. Missing is null.'
		},
		paths: { ...computePaths(), ...recordPaths() },
		components: { schemas: { ...schemas, Problem: PROBLEM_SCHEMA } }
	};
}
