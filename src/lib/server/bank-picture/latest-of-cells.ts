import { fromColumns } from '../db/case';
import { database } from '../db/connection';
import type { InspectionRow, StorageTestRow } from '../records';

/** The latest record of each cell in a table; a cell that has none has no entry. */
async function latestOf<Row extends { cellId: number }>(
	table: string,
	at: string,
	json: string[],
	cellIds: readonly number[]
): Promise<Map<number, Row>> {
	if (cellIds.length === 0) return new Map();
	const rows: Record<string, unknown>[] = await database()(table)
		.whereIn('cell_id', [...cellIds])
		.whereNull('deleted_at')
		.orderBy([at, 'id']);
	return new Map(rows.map((row) => fromColumns<Row>(row, json)).map((own) => [own.cellId, own]));
}

export const latestInspections = (cellIds: readonly number[]): Promise<Map<number, InspectionRow>> =>
	latestOf('inspections', 'inspected_at', ['thicknessMm'], cellIds);

export const latestStorageTests = (cellIds: readonly number[]): Promise<Map<number, StorageTestRow>> =>
	latestOf('storage_tests', 'charged_at', [], cellIds);
