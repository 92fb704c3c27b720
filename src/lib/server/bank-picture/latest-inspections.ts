import { fromColumns } from '../db/case';
import { database } from '../db/connection';
import type { InspectionRow } from '../records';

/** The latest inspection of each cell; one nobody has looked at has no entry. */
export async function latestInspections(cellIds: readonly number[]): Promise<Map<number, InspectionRow>> {
	if (cellIds.length === 0) return new Map();
	const rows: Record<string, unknown>[] = await database()('inspections')
		.whereIn('cell_id', [...cellIds])
		.whereNull('deleted_at')
		.orderBy(['inspected_at', 'id']);
	return new Map(rows.map((row) => fromColumns<InspectionRow>(row, ['thicknessMm'])).map((own) => [own.cellId, own]));
}
