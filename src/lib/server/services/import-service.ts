import type { Knex } from 'knex';
import * as input from '$lib/input/records';
import { InputError, validated } from '$lib/input/validate';
import { database } from '../db/connection';
import type { Recorded } from '../db/repository';
import { insertRunSamples } from '../db/run-samples';
import * as tables from '../db/tables';
import { checkShape, type BankFile, type Plain } from './bank-file';

/** Moves a record's references from the file's ids to new ones. */
class Renumbering {
	private readonly maps = new Map<string, Map<number, number>>();
	note(kind: string, from: unknown, to: number) {
		if (!this.maps.has(kind)) this.maps.set(kind, new Map());
		this.maps.get(kind)!.set(from as number, to);
	}
	of(kind: string, from: unknown, path: string): number {
		const to = this.maps.get(kind)?.get(from as number);
		if (to === undefined)
			throw new InputError([{ path, message: `refers to ${kind} ${String(from)}, which is not in the file` }]);
		return to;
	}
}

/** Fields of a stored record checked as if typed in; anything derived is let through by name. */
function checked<T extends object>(
	kind: new () => T,
	row: Plain,
	path: string,
	alsoAllow: readonly string[] = []
): Plain {
	const own = Object.fromEntries(Object.entries(row).filter(([k]) => k !== 'id' && !alsoAllow.includes(k)));
	try {
		validated(kind, own);
	} catch (error) {
		if (error instanceof InputError)
			throw new InputError(error.faults.map((f) => ({ ...f, path: `${path}.${f.path}` })));
		throw error;
	}
	return Object.fromEntries(Object.entries(row).filter(([k]) => k !== 'id'));
}

/** A rehearsal stays one wherever its file goes. */
const MARKS = ['rehearsal'];
const marked = (row: Plain, bank: Plain): Plain => ({ ...row, rehearsal: bank.rehearsal === true });

const RUN_DERIVED = ['source', 'cRate', 'durationS', 'endVoltageV', 'fileName', 'faults', 'samples'];
const READING_DERIVED = ['value', 'rawUnit', 'sd'];

/** Builds the bank of a file again, under new ids, all or nothing. @returns the new bank's id */
export async function importBank(body: unknown): Promise<number> {
	const file = checkShape(body);
	const ids = new Renumbering();
	return database().transaction(async (tx) => {
		const cellTypeId = file.cellType
			? (
					await tables.cellTypes.insert(
						marked(checked(input.CellTypeInput, file.cellType, 'cellType', MARKS), file.bank),
						tx
					)
				).id
			: null;
		const bank = await tables.banks.insert(
			{ ...marked(checked(input.BankInput, file.bank, 'bank', MARKS), file.bank), cellTypeId },
			tx
		);
		await insertAll(
			tx,
			tables.deliveries,
			file.deliveries,
			(row, i) => ({ ...checked(input.DeliveryInput, row, `deliveries.${i}`), bankId: bank.id }),
			(row, id) => ids.note('delivery', row.id, id)
		);
		await insertAll(
			tx,
			tables.cells,
			file.cells,
			(row, i) => ({
				...checked(input.CellInput, row, `cells.${i}`),
				deliveryId: ids.of('delivery', row.deliveryId, `cells.${i}.deliveryId`)
			}),
			(row, id) => ids.note('cell', row.id, id)
		);
		const cellOf = (row: Plain, path: string) => ids.of('cell', row.cellId, `${path}.cellId`);
		await tables.readings.insertMany(
			file.readings.map((row, i) => ({
				...numeric(
					checked(input.ReadingInput, row, `readings.${i}`, READING_DERIVED),
					['value', 'sd'],
					`readings.${i}`
				),
				cellId: cellOf(row, `readings.${i}`),
				clientKey: null
			})),
			tx
		);
		for (const [i, row] of file.runs.entries()) await importRunRow(tx, row, i, cellOf(row, `runs.${i}`));
		await tables.placements.insertMany(
			file.placements.map((row, i) => ({
				...checked(input.PlacementInput, row, `placements.${i}`),
				cellId: cellOf(row, `placements.${i}`),
				bankId: bank.id
			})),
			tx
		);
		await insertAll(
			tx,
			tables.balanceRuns,
			file.balanceRuns,
			(row, i) => ({ ...checked(input.BalanceRunInput, row, `balanceRuns.${i}`), bankId: bank.id }),
			(row, id) => ids.note('balance run', row.id, id)
		);
		await tables.balanceReadings.insertMany(
			file.balanceReadings.map((row, i) => ({
				...checked(input.BalanceReadingInput, row, `balanceReadings.${i}`),
				balanceRunId: ids.of('balance run', row.balanceRunId, `balanceReadings.${i}.balanceRunId`)
			})),
			tx
		);
		await tables.limitPlans.insertMany(
			file.limitPlans.map((row, i) => ({ ...checked(input.LimitPlanInput, row, `limitPlans.${i}`), bankId: bank.id })),
			tx
		);
		await tables.serviceChecks.insertMany(
			file.serviceChecks.map((row, i) => ({
				...checked(input.ServiceCheckInput, row, `serviceChecks.${i}`),
				bankId: bank.id
			})),
			tx
		);
		await tables.capacityTests.insertMany(
			file.capacityTests.map((row, i) => ({
				...checked(input.CapacityTestInput, row, `capacityTests.${i}`),
				bankId: bank.id
			})),
			tx
		);
		await tables.notes.insertMany(
			file.notes.map((row, i) => ({
				...checked(input.NoteInput, row, `notes.${i}`),
				cellId: cellOf(row, `notes.${i}`)
			})),
			tx
		);
		return bank.id;
	});
}

async function insertAll(
	tx: Knex,
	repository: { insert(fields: object, tx?: Knex): Promise<Recorded> },
	rows: readonly Plain[],
	fields: (row: Plain, i: number) => Plain,
	note: (row: Plain, id: number) => void
): Promise<void> {
	for (const [i, row] of rows.entries()) note(row, (await repository.insert(fields(row, i), tx)).id);
}

function numeric(row: Plain, fields: readonly string[], path: string): Plain {
	for (const field of fields)
		if (!Number.isFinite(row[field]))
			throw new InputError([{ path: `${path}.${field}`, message: 'requires a number' }]);
	return row;
}

async function importRunRow(tx: Knex, row: BankFile['runs'][number], i: number, cellId: number): Promise<void> {
	const path = `runs.${i}`;
	const { samples, ...fields } = { ...checked(input.RunInput, row, path, RUN_DERIVED), samples: row.samples };
	const lists = [samples?.timeS, samples?.voltageV, samples?.currentA];
	if (!lists.every((l) => Array.isArray(l) && l.length === samples.timeS.length && l.every(Number.isFinite)))
		throw new InputError([{ path: `${path}.samples`, message: 'requires timeS, voltageV and currentA of one length' }]);
	const { id } = await tables.runs.insert({ ...fields, cellId }, tx);
	await insertRunSamples(id, samples, tx);
}
