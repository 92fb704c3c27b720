import { USUAL_SHEET } from '$lib/core/reading';
import { TESTER_GAIN_SD } from '$lib/core/capacity-run';
import { InstrumentInput } from '$lib/input/live';
import * as input from '$lib/input/records';
import { validated, type InputClass } from '$lib/input/validate';
import { database } from '../db/connection';
import type { Page, Recorded, Repository } from '../db/repository';
import * as tables from '../db/tables';
import { ServiceError } from '../errors';
import { unpackDelivery } from './delivery-service';
import { checkAddress } from './instrument-service';
import { refuseRemovalUnderRun } from './live/live-guard';
import { measured, storeReading } from './reading-service';

/** One kind of record as the API and the pages reach it: what comes in, where it is kept, how a new one is made. */
export interface RecordKind {
	/** Plural path name, e.g. `cell-types`. */
	name: string;
	createInput: InputClass<object>;
	changeInput: InputClass<object>;
	repository: Repository<Recorded>;
	/** Fields a list may be filtered by. */
	filters: readonly string[];
	create?(fields: never): Promise<Recorded>;
	/** Derived fields added to a change before it is stored. */
	beforeChange?(fields: Record<string, unknown>, current: Recorded): Promise<Record<string, unknown>>;
}

const now = () => new Date().toISOString();

async function createRun(fields: input.RunInput): Promise<tables.Run> {
	await tables.cells.get(fields.cellId);
	return tables.runs.insert({
		...fields,
		source: 'hand',
		testedAt: fields.testedAt ?? now(),
		sdAh: fields.sdAh ?? fields.capacityAh * TESTER_GAIN_SD
	});
}

/** A cell is in one place at a time: an open placement must be ended before the next. */
async function createPlacement(fields: input.PlacementInput): Promise<tables.Placement> {
	const open = await tables.placements.all({ cellId: fields.cellId, removedAt: null });
	if (open.length && !fields.removedAt)
		throw new ServiceError(
			409,
			'already-placed',
			`This cell is already in battery ${open[0].battery}, group ${open[0].position}. Take it out there first.`
		);
	await refuseMixing(fields);
	return tables.placements.insert({ ...fields, placedAt: fields.placedAt ?? now() });
}

/** Simulated and real cells are never built together. */
async function refuseMixing({ cellId, bankId }: input.PlacementInput): Promise<void> {
	const cell = await tables.cells.get(cellId);
	const home = await tables.banks.get((await tables.deliveries.get(cell.deliveryId)).bankId);
	const bank = await tables.banks.get(bankId);
	if (home.rehearsal !== bank.rehearsal)
		throw new ServiceError(
			422,
			'mixed',
			'A rehearsal’s cells are simulated: they and real cells are never built together.'
		);
}

const kind = <I extends object>(
	name: string,
	createInput: InputClass<I>,
	repository: unknown,
	filters: readonly string[],
	more: {
		create?: (fields: I) => Promise<Recorded>;
		changeInput?: InputClass<object>;
		beforeChange?: RecordKind['beforeChange'];
	} = {}
): RecordKind => ({
	name,
	createInput,
	changeInput: more.changeInput ?? createInput,
	repository: repository as Repository<Recorded>,
	filters,
	create: more.create as RecordKind['create'],
	beforeChange: more.beforeChange
});

/** Every kind of record, by its path name. */
export const RECORD_KINDS: readonly RecordKind[] = [
	kind('cell-types', input.CellTypeInput, tables.cellTypes, ['chemistry']),
	kind('banks', input.BankInput, tables.banks, ['bankUse', 'chemistry']),
	kind('deliveries', input.NewDeliveryInput, tables.deliveries, ['bankId'], {
		create: unpackDelivery,
		changeInput: input.DeliveryInput
	}),
	kind('cells', input.CellInput, tables.cells, ['deliveryId', 'batch']),
	kind('readings', input.ReadingInput, tables.readings, ['cellId', 'quantity'], {
		create: storeReading,
		beforeChange: async (fields, current) =>
			typeof fields.rawText === 'string'
				? measured(
						fields.rawText,
						(fields.quantity ?? (current as tables.Reading).quantity) as input.ReadingInput['quantity']
					)
				: {}
	}),
	kind('runs', input.RunInput, tables.runs, ['cellId', 'source'], { create: createRun }),
	kind('placements', input.PlacementInput, tables.placements, ['bankId', 'cellId', 'battery'], {
		create: createPlacement
	}),
	kind('balance-runs', input.BalanceRunInput, tables.balanceRuns, ['bankId']),
	kind('balance-readings', input.BalanceReadingInput, tables.balanceReadings, ['balanceRunId']),
	kind('limit-plans', input.LimitPlanInput, tables.limitPlans, ['bankId']),
	kind('service-checks', input.ServiceCheckInput, tables.serviceChecks, ['bankId', 'context', 'battery']),
	kind('capacity-tests', input.CapacityTestInput, tables.capacityTests, ['bankId', 'battery']),
	kind('instruments', InstrumentInput, tables.instruments, ['kind'], {
		create: (fields) => {
			checkAddress(fields);
			const usual = USUAL_SHEET[fields.kind];
			return tables.instruments.insert({
				...fields,
				accuracyPercent: fields.accuracyPercent ?? usual.percent,
				accuracyFixed: fields.accuracyFixed ?? usual.fixed
			});
		},
		beforeChange: async (fields, current) => {
			checkAddress({ ...(current as tables.Instrument), ...fields });
			return {};
		}
	}),
	kind('notes', input.NoteInput, tables.notes, ['cellId'], {
		create: (fields) => tables.notes.insert({ ...fields, writtenAt: fields.writtenAt ?? now() })
	})
];

/** @throws ServiceError 404 for a name that is not a kind of record */
export function recordKind(name: string): RecordKind {
	const found = RECORD_KINDS.find((k) => k.name === name);
	if (!found)
		throw new ServiceError(
			404,
			'not-found',
			`There are no "${name}" here. The kinds are: ${RECORD_KINDS.map((k) => k.name).join(', ')}.`
		);
	return found;
}

const MOST_PER_PAGE = 500;

/** A page of records; `page` from 1, `size` up to 500 (50 when not given), other parameters filter. */
export async function listRecords(kind: RecordKind, query: URLSearchParams): Promise<Page<Recorded>> {
	const whole = (name: string, fallback: number, most: number) => {
		const value = query.has(name) ? Number(query.get(name)) : fallback;
		if (!Number.isInteger(value) || value < 1 || value > most)
			throw new ServiceError(
				422,
				'paging',
				`${name} requires a whole number from 1 to ${most}, got ${query.get(name)}`
			);
		return value;
	};
	const filter = Object.fromEntries(kind.filters.filter((f) => query.has(f)).map((f) => [f, query.get(f)!]));
	return kind.repository.list(filter, { page: whole('page', 1, 1_000_000), size: whole('size', 50, MOST_PER_PAGE) });
}

/** Validates and stores a new record. */
export async function createRecord(kind: RecordKind, body: unknown): Promise<Recorded> {
	const fields = validated(kind.createInput, body);
	return kind.create ? kind.create(fields as never) : kind.repository.insert(fields);
}

/** Takes a record out; it can be restored. @throws ServiceError 409 when it is stale or a live run stands on it */
export async function removeRecord(kind: RecordKind, id: number, version: number): Promise<void> {
	await refuseRemovalUnderRun(kind.name, id);
	await kind.repository.remove(id, version);
}

/** Changes the fields given. `version` must be the one that was read, or the change is refused as stale. */
export async function changeRecord(kind: RecordKind, id: number, body: unknown): Promise<Recorded> {
	const { version, ...rest } = (body ?? {}) as Record<string, unknown>;
	if (!Number.isInteger(version))
		throw new ServiceError(
			422,
			'version',
			'version is required: send the version of the record you read, so that two people cannot overwrite each other.'
		);
	const fields = { ...validated(kind.changeInput, rest, true) } as Record<string, unknown>;
	return database().transaction(async (tx) => {
		const derived = (await kind.beforeChange?.(fields, await kind.repository.get(id, tx))) ?? {};
		return kind.repository.update(id, version as number, { ...fields, ...derived }, tx);
	});
}
