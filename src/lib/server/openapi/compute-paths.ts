import { STAGES } from '$lib/core/foundation/verdicts';
import { BalanceLeadsRequest, JointsRequest } from '$lib/input/assembly';
import * as compute from '$lib/input/compute';
import * as joining from '$lib/input/joining';
import * as measuring from '$lib/input/measuring';
import * as planning from '$lib/input/planning';
import { SimulationRequest } from '$lib/input/simulation';
import { json, operation, path, query, ref, type Json } from './parts';
import { answer } from './results';

const csvBody: Json = { 'text/csv': { schema: { type: 'string' } } };
const lines: Json = { 'application/x-ndjson': { schema: { type: 'string' } } };

/** What the API computes, banks as a whole, logs and settings. */
export function computePaths(): Json {
	const post = (summary: string, input: { name: string }, result?: Json) => ({
		post: operation(summary, { body: json(ref(input.name)), ...(result ? { result } : {}) })
	});
	return {
		'/api/v1/health': { get: operation('Whether the server and its database are well') },
		'/api/v1/soc-bounds': post('State-of-charge bounds a rest voltage fits', compute.SocBoundsInput),
		'/api/v1/capacity-run/analyse': {
			post: operation('Charge, energy and faults of a capacity-run log', {
				parameters: [
					query('ratedAh', 'number'),
					query('cutoffV', 'number'),
					query('chemistry', 'string'),
					query('bridgeGaps', 'boolean')
				],
				body: csvBody,
				result: answer('RunAnalysis')
			})
		},
		'/api/v1/match': post('Choose cells and groups', compute.MatchInput),
		'/api/v1/simulate': post(
			'Run the model of cells, groups and batteries; refused with 422 and the reason',
			SimulationRequest
		),
		'/api/v1/limits': post('BMS, charger and load limits with reasons', compute.LimitsRequest),
		'/api/v1/fade': post('Capacity fade with its band and end of life', compute.FadeRequest),
		'/api/v1/is-balanced': post(
			'Whether a bank is balanced, if the readings can tell',
			compute.BalanceQuestionInput,
			answer('BalanceAnswer')
		),
		'/api/v1/balance-leads/judge': post(
			'How the balance leads of a battery most probably sit, and the reading that decides',
			BalanceLeadsRequest,
			answer('LeadsAnswer')
		),
		'/api/v1/joints': post(
			'Resistance and heat of each group’s joint beyond its like, from readings at rest and under load',
			JointsRequest,
			answer('JointsAnswer')
		),
		'/api/v1/plan/label-check': post(
			'A label’s Wh, Ah and V against each other and against the chemistries',
			planning.LabelRequest,
			answer('LabelAnswer')
		),
		'/api/v1/plan/loads': post('Energy, power and amperes of what is to run', planning.LoadsRequest),
		'/api/v1/plan/layouts': post(
			'Layouts of the cells that give what is wanted, and why others cannot be',
			planning.LayoutsRequest
		),
		'/api/v1/plan/hardware': post(
			'Bars, studs, rings for the fixture and the build, and what the kit lacks',
			planning.HardwareRequest
		),
		'/api/v1/plan/first-charge': post(
			'Days of the parallel top balance, and what would save most',
			planning.FirstChargeRequest
		),
		'/api/v1/plan/charging': post(
			'What each charger does for a bank, and what stands against it',
			planning.ChargingRequest
		),
		'/api/v1/plan/box': post('How the cells of a battery can stand in a box', planning.BoxFitRequest),
		'/api/v1/plan/lift': post('Who lifts it, and how', planning.LiftRequest),
		'/api/v1/plan/parts': post('BMS, fuse, shunt and contactor, each as small as it may be', planning.PartsRequest),
		'/api/v1/plan/calendar': post(
			'The days of a build, from the order to the proved battery',
			planning.CalendarRequest
		),
		'/api/v1/plan/year': post(
			'A year of use drawn many times: how often it is empty, what is missing, how it ages',
			planning.YearRequest,
			answer('YearAnswer')
		),
		'/api/v1/join-check': post(
			'Whether cells or whole batteries may be joined in parallel, in which order, and what moves',
			joining.JoinRequest,
			answer('JoinAnswer')
		),
		'/api/v1/left-joined': post(
			'How much of what parts them cells lose by standing joined without a charge',
			joining.LeftJoinedRequest,
			answer('LeftJoinedAnswer')
		),
		'/api/v1/forecast': post(
			'What a string of groups gives, balanced so or so, and who ends it',
			joining.ForecastRequest,
			answer('ForecastAnswer')
		),
		'/api/v1/cell-code': post(
			'What a cell’s 24-character code claims',
			measuring.CellCodeRequest,
			answer('CellCodeAnswer')
		),
		'/api/v1/self-discharge': post(
			'How much charge a cell loses by itself, by rest voltages apart in time or by a refill',
			measuring.SelfDischargeRequest,
			answer('SelfDischargeAnswer')
		),
		'/api/v1/runs/fit-notes': post(
			'What a discharge known by a few lines will give, when it ends and when to look again',
			measuring.FitNotesRequest,
			answer('NotesAnswer')
		),
		'/api/v1/testers/estimate': post(
			'Capacities of cells and gains of testers, estimated together',
			measuring.TestersRequest,
			answer('TestersAnswer')
		),
		'/api/v1/witnesses': post(
			'What all that measured one charge say together, and the odd one',
			measuring.WitnessesRequest,
			answer('WitnessesAnswer')
		),
		'/api/v1/capacity-judgement': post(
			'All results of a cell against its rating',
			measuring.CapacityJudgementRequest,
			answer('CapacityAnswer')
		),
		'/api/v1/test-queue': post(
			'A timetable for testing cells one by one, its bound, and what would shorten it',
			measuring.TestQueueRequest,
			answer('QueueAnswer')
		),
		'/api/v1/files': {
			post: operation(
				'Keep a photo or file of something: turned upright, made smaller, without where it was taken',
				{
					parameters: [
						query('subjectKind', 'string'),
						query('subjectId', 'string'),
						query('name', 'string'),
						query('about', 'string'),
						query('takenAt', 'string')
					],
					body: {
						'image/jpeg': { schema: { type: 'string', format: 'binary' } },
						'image/png': { schema: { type: 'string', format: 'binary' } },
						'application/pdf': { schema: { type: 'string', format: 'binary' } }
					},
					result: json(ref('Recorded'))
				},
				201
			)
		},
		'/api/v1/attachments/{id}/content': {
			parameters: [path('id')],
			get: operation('The bytes of a photo or file, or its small picture (size=small)', {
				parameters: [query('size', 'string')],
				result: { 'image/webp': { schema: { type: 'string', format: 'binary' } } }
			})
		},
		'/api/v1/deliveries/{id}/report': {
			parameters: [path('id')],
			get: operation('What a delivery comes to: cell by cell, what is claimed and what is not', {
				result: json({ type: 'object' })
			})
		},
		'/api/v1/calibrations/{id}/changes': {
			parameters: [path('id')],
			get: operation('What a calibration has changed in the verdicts of all banks', {
				result: json({ type: 'object' })
			})
		},
		'/api/v1/due': {
			get: operation('Moments at which something that nobody follows by wire wants a person', {
				result: json({ type: 'object' })
			})
		},
		'/api/v1/runs/{id}/samples.csv': {
			parameters: [path('id')],
			get: operation('A run as CSV, units in its header', { result: csvBody })
		},
		'/api/v1/banks/{id}/test-queue.ics': {
			parameters: [path('id')],
			get: operation('What of the test queue needs a person, as a calendar file', {
				result: { 'text/calendar': { schema: { type: 'string' } } }
			})
		},
		'/api/v1/settings': {
			get: operation('Settings'),
			patch: operation('Change settings', { body: json(ref('SettingsInput')) })
		},
		'/api/v1/banks/{id}/calendar.ics': {
			parameters: [path('id')],
			get: operation('The steps of the build as a calendar file', {
				result: { 'text/calendar': { schema: { type: 'string' } } }
			})
		},
		'/api/v1/banks/import': {
			post: operation(
				'Build a bank again from its exported file',
				{ body: { ...lines, ...json({ type: 'object' }) }, result: answer('BuiltBank') },
				201
			)
		},
		'/api/v1/banks/{id}/export': {
			parameters: [path('id')],
			get: operation('The whole record of a bank, a line a record', { result: lines })
		},
		'/api/v1/banks/{id}/where-was-i': {
			parameters: [path('id')],
			get: operation('How a bank stands for somebody who comes back to it', { result: answer('WhereWasI') })
		},
		'/api/v1/banks/{id}/verdicts': {
			parameters: [path('id')],
			get: operation('What a bank is judged to need, as Home, the rail and the pages show it', {
				parameters: [{ ...query('stage', 'string'), schema: { type: 'string', enum: [...STAGES] } }],
				result: json({
					type: 'object',
					required: ['items', 'beingJudged'],
					properties: { items: { type: 'array', items: ref('Verdict') }, beingJudged: { type: 'boolean' } }
				})
			})
		},
		'/api/v1/stock': {
			get: operation('Every cell of one’s own, where it is or was', {
				parameters: [query('q', 'string'), query('place', 'string'), query('page', 'integer')]
			})
		},
		'/api/v1/banks/{id}/candidates': {
			parameters: [path('id')],
			post: operation('Pick cells of the stock for a bank', { body: json(ref(compute.PickCellsInput.name)) }, 201)
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
		'/api/v1/banks/{id}/exchange': {
			parameters: [path('id')],
			post: operation(
				'Exchange one cell; every other stays in its place',
				{ body: json(ref(compute.ExchangeInput.name)) },
				201
			)
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
		'/api/v1/runs/{id}/curve': {
			parameters: [path('id')],
			get: operation('A run’s curve, thinned for drawing', { result: answer('Curve') })
		}
	};
}
