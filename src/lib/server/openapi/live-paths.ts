import * as live from '$lib/input/live';
import { json, operation, path, query, ref, repeatable, type Json } from './parts';
import { answer } from './results';

/** Live runs, instruments and rehearsals. */
export function livePaths(): Json {
	const on = (summary: string, input: { name: string } | null, result?: Json) => ({
		parameters: [path('id')],
		post: operation(summary, {
			...(input ? { body: json(ref(input.name)) } : {}),
			...(result ? { result } : {})
		})
	});
	const events: Json = { 'text/event-stream': { schema: { type: 'string' } } };
	return {
		'/api/v1/instruments/{id}/try': on('Connect, identify, take one reading', null, answer('Tried')),
		'/api/v1/live-runs': {
			get: operation('List live runs', { parameters: [query('bankId', 'integer'), query('state', 'string')] }),
			post: operation(
				'Plan a live run; nothing is switched',
				{ body: json(ref(live.LiveRunInput.name)), result: answer('PlannedLiveRun') },
				201
			)
		},
		'/api/v1/live-runs/{id}': { parameters: [path('id')], get: operation('A live run and the values to confirm') },
		'/api/v1/live-runs/{id}/begin': on(
			'Switch on and follow; the values must be confirmed word for word',
			live.LiveConfirmInput,
			answer('LiveView')
		),
		'/api/v1/live-runs/{id}/pause': on('Outputs off until somebody lets it go on', null, answer('LiveView')),
		'/api/v1/live-runs/{id}/stop': on('Outputs off, end the run', null, answer('LiveView')),
		'/api/v1/live-runs/{id}/check': on(
			'Keep what the groups last read as a check; read full, with the Ah counted between their passings',
			live.WatchedCheckInput,
			json(ref('Recorded'))
		),
		'/api/v1/live-runs/{id}/samples': {
			parameters: [path('id'), query('afterMs', 'integer')],
			get: operation('Stored samples', { result: answer('LiveSamples') })
		},
		'/api/v1/live-runs/stream': {
			parameters: [query('samples', 'integer')],
			get: operation('Views of every live run, and samples of one, as they come (server-sent events)', {
				result: events
			})
		},
		'/api/v1/live-events/{id}/seen': on('A person has seen this event', null, json(ref('Recorded'))),
		'/api/v1/rehearsals': {
			get: operation('Scenarios that can be rehearsed'),
			post: operation(
				'Start a rehearsal on the simulated bench',
				{ body: json(ref(live.RehearsalInput.name)), result: json(ref('Recorded')) },
				201
			)
		},
		'/api/v1/banks/{id}/rehearsal': { parameters: [path('id')], get: operation('Where a rehearsal stands') },
		'/api/v1/banks/{id}/rehearsal/hands': on('Wiring, probes, pace of time', live.HandsInput),
		'/api/v1/banks/{id}/read-battery': {
			parameters: [path('id')],
			post: operation('Read a balance lead, a group or all groups of a battery now; nothing is stored', {
				body: json(ref(live.ReadBatteryInput.name)),
				result: answer('BatteryReading')
			})
		},
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
		'/api/v1/banks/{id}/rehearsal/probe': on('What the voltmeter shows now', null, answer('Probed')),
		'/api/v1/banks/{id}/rehearsal/reveal': on('End the rehearsal and show the truth', live.ConclusionsInput)
	};
}
