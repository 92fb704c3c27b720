import { LEAD_CODES } from '$lib/core/build/leads';
import { json, ref, type Json } from './parts';

/** What answers are made of. Every field is always there; `maybe` ones may be null. */
const number: Json = { type: 'number' };
const integer: Json = { type: 'integer' };
const text: Json = { type: 'string' };
/** What a caller calls its things. */
const identity: Json = { anyOf: [text, number] };
const truth: Json = { type: 'boolean' };
const words = (...of: string[]): Json => ({ type: 'string', enum: of });
const maybe = (schema: Json): Json => ({ anyOf: [schema, { type: 'null' }] });
const list = (items: Json): Json => ({ type: 'array', items });
const object = (properties: Record<string, Json>, optional: readonly string[] = []): Json => ({
	type: 'object',
	required: Object.keys(properties).filter((name) => !optional.includes(name)),
	properties
});
/** Of one kind among several, told apart by `kind`. */
const kind = (name: string, properties: Record<string, Json>, optional: readonly string[] = []): Json =>
	object({ kind: { type: 'string', const: name }, ...properties }, optional);

const column = object({ index: integer, header: text, unit: text, factor: number, unitStated: truth });
const sums = object({
	startedMs: number,
	endedMs: maybe(number),
	ah: number,
	wh: number,
	gapS: number,
	gapAh: number
});
const duration = object({ low: number, high: number });
const liveEvent = object({
	id: integer,
	kind: text,
	message: text,
	happenedAt: text,
	needsPerson: truth,
	seenAt: maybe(text)
});

/** Answers that are no stored records, by the name they have in the description. */
export const RESULTS = {
	Interval: object({ low95: number, likely: number, high95: number }),
	RunAnalysis: object({
		capacityAh: number,
		energyWh: number,
		meanVoltageV: maybe(number),
		currentA: maybe(number),
		cRate: maybe(number),
		durationS: number,
		endVoltageV: number,
		faults: list(object({ code: text, message: text, row: maybe(integer) })),
		columns: object({ time: column, voltage: column, current: column }),
		endedAt: maybe(text)
	}),
	Curve: object({ curve: object({ voltageV: list(number), dischargedAh: list(number) }) }),
	BalanceAnswer: object({
		answer: words('balanced', 'apart', 'cannot-tell'),
		apartAh: maybe(ref('Interval')),
		verdict: ref('Verdict')
	}),
	WhereWasI: object({
		lastWorkedAt: maybe(text),
		lines: list(text),
		next: maybe(object({ stage: text, title: text, act: text }))
	}),
	BatteryReading: object({
		atMs: number,
		voltageV: maybe(number),
		groupsV: maybe(list(number)),
		currentA: maybe(number)
	}),
	LeadsAnswer: object({
		explanations: list(
			object({
				code: words(...LEAD_CODES),
				leads: list(integer),
				probability: number,
				text,
				nodeOf: list(maybe(integer))
			})
		),
		next: maybe(
			object({
				lead: integer,
				against: words('negative', 'positive'),
				expect: list(object({ code: words(...LEAD_CODES), voltageV: number }))
			})
		),
		pass: truth,
		unread: list(integer),
		unexplained: integer,
		verdict: ref('Verdict')
	}),
	LabelAnswer: object({
		consistent: maybe({ type: 'boolean' }),
		likelyChemistry: maybe(text),
		perCellV: maybe(number),
		verdicts: list(ref('Verdict'))
	}),
	YearAnswer: object({
		daysEmptyShare: ref('Interval'),
		kwhMissing: number,
		generatorHours: number,
		efcPerYear: number,
		hoursFull: number,
		hoursEmpty: number,
		hoursTooCold: number,
		yearsToEnd: maybe(ref('Interval')),
		clearSkyKwhPerM2: list(number),
		balanceResidual: number
	}),
	JoinAnswer: object({
		verdicts: list(ref('Verdict')),
		peakA: maybe(ref('Interval')),
		order: list(identity),
		movedAhInDay: number
	}),
	LeftJoinedAnswer: object({
		after: list(object({ hours: number, movedAh: ref('Interval'), apartAh: ref('Interval'), leftAh: ref('Interval') }))
	}),
	ForecastAnswer: object({
		usableAh: number,
		usable: ref('Interval'),
		endsCharge: integer,
		endsDischarge: integer,
		leftAh: list(number)
	}),
	CellCodeAnswer: object({
		fields: maybe(
			object({
				maker: text,
				product: text,
				chemistryLetter: text,
				model: text,
				trace: text,
				serial: text,
				year: maybe(integer),
				month: maybe(integer),
				day: maybe(integer)
			})
		),
		productionDate: maybe(text),
		chemistry: maybe(text),
		warnings: list(object({ code: text, message: text }))
	}),
	SelfDischargeAnswer: object({ percentPerMonth: maybe(ref('Interval')), verdict: ref('Verdict') }),
	NotesAnswer: object({
		capacityAh: ref('Interval'),
		finishS: ref('Interval'),
		lookAgainS: number,
		oddNote: maybe(integer),
		fits: truth
	}),
	TestersAnswer: object({
		cells: list(object({ cellId: identity, capacityAh: number, sdAh: number })),
		testers: list(object({ testerId: identity, gain: number, sdGain: number }))
	}),
	WitnessesAnswer: object({
		ah: maybe(ref('Interval')),
		wh: maybe(ref('Interval')),
		odd: maybe(integer),
		verdict: ref('Verdict')
	}),
	CapacityAnswer: object({
		capacityAh: number,
		sdAh: number,
		probabilityShort: number,
		outcome: words('short', 'meets', 'unsure')
	}),
	QueueAnswer: object({
		steps: list(
			object({
				cellId: identity,
				kind: words('soak', 'charge', 'rest', 'discharge', 'store'),
				on: maybe(identity),
				from: text,
				to: text,
				needsPerson: truth
			})
		),
		endsAt: text,
		boundEndsAt: text,
		buy: list(object({ what: text, savesH: number }))
	}),
	JointsAnswer: object({
		joints: list(object({ group: integer, mOhm: ref('Interval'), heatW: number })),
		verdicts: list(ref('Verdict'))
	}),
	LivePhase: {
		oneOf: [
			kind('charge', { voltageV: number, currentA: number, tailA: number, holdS: number, stopAh: number }, ['stopAh']),
			kind('rest', { durationS: number }),
			kind('discharge', { currentA: number, cutoffV: number }),
			kind('watch', {})
		]
	},
	LiveView: object({
		id: integer,
		bankId: integer,
		bankName: text,
		version: integer,
		kind: words('capacity', 'balance', 'watch'),
		state: words('planned', 'running', 'waiting', 'ended'),
		phase: integer,
		phases: list(ref('LivePhase')),
		sums: list(sums),
		last: maybe(object({ atMs: number, voltageV: maybe(number), currentA: number, cellV: maybe(number) })),
		remainingS: maybe(duration),
		toEndS: maybe(duration),
		expectedAh: maybe(number),
		events: list(liveEvent),
		endedBy: maybe(text),
		runId: maybe(integer)
	}),
	LiveSamples: object({
		samples: list(
			object({
				atMs: number,
				phase: integer,
				voltageV: maybe(number),
				currentA: number,
				cellV: maybe(number),
				temperatureC: maybe(number),
				groupsV: maybe(list(number))
			})
		),
		more: truth
	}),
	PlannedLiveRun: object({ run: ref('Recorded'), values: list(text) }),
	Tried: object({
		identity: object({ text, ownClock: truth, watchdog: truth }),
		reading: maybe(
			object(
				{
					atMs: number,
					voltageV: maybe(number),
					currentA: maybe(number),
					resistanceOhm: maybe(number),
					countedAh: maybe(number),
					on: maybe(truth),
					setTo: object({ voltageV: number, currentA: number })
				},
				['setTo']
			)
		),
		trouble: maybe(text)
	}),
	Probed: object({ voltageV: number }),
	BuiltBank: { allOf: [ref('Recorded'), object({ name: text })] }
} satisfies Record<string, Json>;

/** An answer by its name among {@link RESULTS}. */
export const answer = (name: keyof typeof RESULTS): Json => json(ref(name));
