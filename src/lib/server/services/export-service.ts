import type { Recorded, Repository } from '../db/repository';
import { readRunSamples } from '../db/run-samples';
import * as tables from '../db/tables';
import { ServiceError } from '../errors';
import { toCsv } from '../formats/csv';
import { EXPORT_VERSION, type BankFile, type Plain } from './bank-file';
import { cellsOfBank } from './delivery-service';

const BOOKKEEPING = ['version', 'createdAt', 'updatedAt', 'deletedAt'];
const bare = (row: object): Plain => Object.fromEntries(Object.entries(row).filter(([k]) => !BOOKKEEPING.includes(k)));
const bareAll = (rows: readonly object[]) => rows.map(bare);

/** The whole record of a bank as one file. */
export async function exportBank(bankId: number, nowIso = new Date().toISOString()): Promise<BankFile> {
	const bank = await tables.banks.get(bankId);
	const cells = await cellsOfBank(bankId);
	const cellId = cells.map((c) => c.id);
	const byCell = async <R extends Recorded>(repository: Repository<R>) =>
		cellId.length ? repository.all({ cellId }) : [];
	const [readings, runs, notes, balanceRuns] = await Promise.all([
		byCell(tables.readings),
		byCell(tables.runs),
		byCell(tables.notes),
		tables.balanceRuns.all({ bankId })
	]);
	return {
		format: 'kind-ember-bank',
		formatVersion: EXPORT_VERSION,
		exportedAt: nowIso,
		bank: bare(bank),
		cellType: bank.cellTypeId === null ? null : bare(await tables.cellTypes.get(bank.cellTypeId)),
		deliveries: bareAll(await tables.deliveries.all({ bankId })),
		cells: bareAll(cells),
		readings: bareAll(readings),
		runs: await Promise.all(runs.map(async (r) => ({ ...bare(r), samples: await readRunSamples(r.id) }))),
		// A cell of this bank's deliveries may sit in another bank now; that history belongs to that bank.
		placements: bareAll((await tables.placements.all({ bankId })).filter((p) => cellId.includes(p.cellId))),
		balanceRuns: bareAll(balanceRuns),
		balanceReadings: balanceRuns.length
			? bareAll(await tables.balanceReadings.all({ balanceRunId: balanceRuns.map((r) => r.id) }))
			: [],
		limitPlans: bareAll(await tables.limitPlans.all({ bankId })),
		serviceChecks: bareAll(await tables.serviceChecks.all({ bankId })),
		capacityTests: bareAll(await tables.capacityTests.all({ bankId })),
		notes: bareAll(notes)
	};
}

/** The tables of a bank that can be had as CSV, with their columns. */
export const CSV_TABLES = {
	cells: ['id', 'deliveryId', 'position', 'label', 'batch', 'code'],
	readings: ['id', 'cellId', 'quantity', 'value', 'sd', 'rawText', 'rawUnit', 'restS', 'takenAt', 'meter'],
	runs: [
		'id',
		'cellId',
		'source',
		'capacityAh',
		'sdAh',
		'energyWh',
		'meanVoltageV',
		'currentA',
		'cRate',
		'durationS',
		'endVoltageV',
		'temperatureC',
		'testedAt',
		'tester',
		'fileName'
	],
	placements: ['id', 'cellId', 'battery', 'position', 'placedAt', 'removedAt'],
	balanceReadings: ['id', 'balanceRunId', 'readAt', 'supplyV', 'supplyA', 'cellV', 'deliveredAh'],
	serviceChecks: ['id', 'battery', 'checkedAt', 'context', 'currentA', 'temperatureC', 'groupVoltagesV', 'notes'],
	capacityTests: ['id', 'battery', 'testedAt', 'capacityAh', 'sdAh', 'efc', 'temperatureC', 'notes'],
	notes: ['id', 'cellId', 'writtenAt', 'text']
} as const;

/** One table of a bank as CSV text. @throws ServiceError 404 for an unknown table */
export async function exportTable(bankId: number, table: string): Promise<string> {
	if (!(table in CSV_TABLES))
		throw new ServiceError(
			404,
			'not-found',
			`There is no table "${table}". The tables are: ${Object.keys(CSV_TABLES).join(', ')}.`
		);
	const name = table as keyof typeof CSV_TABLES;
	return toCsv((await exportBank(bankId))[name], CSV_TABLES[name]);
}
