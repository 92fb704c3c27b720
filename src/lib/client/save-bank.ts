import { api } from './api';

interface TypeChange {
	id: number | null;
	version: number | null;
	fields: Record<string, unknown>;
}

/** Stores a bank and, where one is given, its cell type with it, new or changed: both or neither, in one request. */
export function saveBank(
	existing: { id: number; version: number } | null,
	bank: object,
	cellType: TypeChange | null
): Promise<{ id: number }> {
	const own = cellType?.id ? { id: cellType.id, version: cellType.version } : {};
	const body = { ...bank, ...(cellType ? { cellType: { ...cellType.fields, ...own } } : {}) };
	return existing ? api.patch(`banks/${existing.id}`, { ...body, version: existing.version }) : api.post('banks', body);
}
