import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import * as compute from '$lib/input/compute';
import * as live from '$lib/input/live';
import { SimulationRequest } from '$lib/input/simulation';
import { STAGES } from '$lib/core/shared';
import { SUBJECT_KINDS, VERDICT_CODES } from '$lib/core/verdicts';
import { OPEN_KINDS } from '../records/registry';

type Json = Record<string, unknown>;

const json = (schema: Json): Json => ({ 'application/json': { schema } });
const ref = (name: string): Json => ({ $ref: `#/components/schemas/${name}` });
const problem = (description: string): Json => ({
	description,
	content: { 'application/problem+json': { schema: ref('Problem') } }
});
const ERRORS: Json = {
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

/** What every stored record carries beside its own fields. */
const RECORDED: Json = {
	type: 'object',
	required: ['id', 'version', 'createdAt', 'updatedAt', 'deletedAt'],
	properties: {
		id: { type: 'integer' },
		version: { type: 'integer' },
		createdAt: { type: 'string', format: 'date-time' },
		updatedAt: { type: 'string', format: 'date-time' },
		deletedAt: { type: ['string', 'null'], format: 'date-time' }
	}
};
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

/** A write that may be sent again with the same key: the second time it answers 200. */
const repeatable = (written: Json, result: Json): Json => ({
	...written,
	responses: {
		...(written.responses as Json),
		200: { description: 'It had been stored before, by a request with this `clientKey`', content: result }
	}
});

function recordPaths(): Json {
	return Object.fromEntries(
		OPEN_KINDS.flatMap(({ name, createInput, changeInput, filters, keyed }) => {
			const record = json(ref('Recorded'));
			const post = createInput
				? operation(`Create one of ${name}`, { body: json(ref(createInput.name)), result: record }, 201)
				: null;
			const change = {
				allOf: [
					{ ...(changeInput ? ref(changeInput.name) : {}), description: 'Any of these fields' },
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

const SUBJECT: Json = {
	type: 'object',
	required: ['kind', 'id', 'label'],
	properties: {
		kind: { type: 'string', enum: [...SUBJECT_KINDS] },
		id: { type: ['integer', 'string'] },
		label: { type: 'string' }
	}
};
const VERDICT: Json = {
	type: 'object',
	description: 'A judgement as data, with its sentences; the facts of each code are in docs/verdicts.md',
	required: ['code', 'warmth', 'subject', 'members', 'facts', 'title', 'finding', 'doubt', 'rule', 'next'],
	properties: {
		stage: { type: 'string', enum: [...STAGES] },
		code: { type: 'string', enum: [...VERDICT_CODES] },
		warmth: { type: 'string', enum: ['calm', 'open', 'look', 'stop'] },
		subject: ref('Subject'),
		members: { type: 'array', items: ref('Subject') },
		facts: { type: 'object' },
		title: { type: 'string' },
		finding: { type: 'string' },
		doubt: { type: ['string', 'null'] },
		rule: { type: 'string' },
		next: { type: ['string', 'null'] },
		setApart: { type: 'string', description: 'Why a person has set it apart' }
	}
};

const csvBody: Json = { 'text/csv': { schema: { type: 'string' } } };
const lines: Json = { 'application/x-ndjson': { schema: { type: 'string' } } };

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
		'/api/v1/is-balanced': post('Whether a bank is balanced, if the readings can tell', compute.BalanceQuestionInput),
		'/api/v1/settings': {
			get: operation('Settings'),
			patch: operation('Change settings', { body: json(ref('SettingsInput')) })
		},
		'/api/v1/banks/import': {
			post: operation(
				'Build a bank again from its exported file',
				{ body: { ...lines, ...json({ type: 'object' }) } },
				201
			)
		},
		'/api/v1/banks/{id}/export': {
			parameters: [path('id')],
			get: operation('The whole record of a bank, a line a record', { result: lines })
		},
		'/api/v1/banks/{id}/verdicts': {
			parameters: [path('id')],
			get: operation('What a bank is judged to need, as Home, the rail and the pages show it', {
				parameters: [{ ...query('stage', 'string'), schema: { type: 'string', enum: [...STAGES] } }],
				result: json({
					type: 'object',
					required: ['items'],
					properties: { items: { type: 'array', items: ref('Verdict') } }
				})
			})
		},
		'/api/v1/openapi.json': { get: operation('This document') },
		'/api/v1/banks/{id}/tables/{table}': {
			parameters: [path('id'), path('table', 'string')],
			get: operation('One table of a bank as CSV', { result: csvBody })
		},
		'/api/v1/banks/{id}/match': {
			parameters: [path('id')],
			post: operation('Accept groups: records placements', { body: json(ref(compute.MatchGroupsInput.name)) }, 201)
		},
		'/api/v1/cells/{id}/runs': {
			parameters: [
				path('id'),
				query('fileName', 'string'),
				query('temperatureC', 'number'),
				query('testedAt', 'string'),
				query('tester', 'string'),
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
		'/api/v1/banks/{id}/measure': {
			parameters: [path('id')],
			post: repeatable(
				operation(
					'Read a cell with a meter of the address book',
					{ body: json(ref(live.MeasureInput.name)), result: json(ref('Recorded')) },
					201
				),
				json(ref('Recorded'))
			)
		},
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
		components: {
			schemas: { ...schemas, Problem: PROBLEM_SCHEMA, Recorded: RECORDED, Subject: SUBJECT, Verdict: VERDICT }
		}
	};
}
