import { ApiProblem, api } from './api';

interface TypeChange {
	id: number | null;
	version: number | null;
	fields: Record<string, unknown>;
}

/** Stores the cell type first (new or changed), then the bank with it. Field messages of the type come as `cellType.…`. */
export async function saveBank(
	existing: { id: number; version: number } | null,
	bank: object,
	cellType: TypeChange | null
): Promise<{ id: number }> {
	const typeId = cellType ? (await saveType(cellType)).id : (bank as { cellTypeId: number | null }).cellTypeId;
	const fields = { ...bank, cellTypeId: typeId };
	return existing
		? api.patch(`banks/${existing.id}`, { ...fields, version: existing.version })
		: api.post('banks', fields);
}

async function saveType({ id, version, fields }: TypeChange): Promise<{ id: number }> {
	try {
		return await (id === null ? api.post('cell-types', fields) : api.patch(`cell-types/${id}`, { ...fields, version }));
	} catch (error) {
		if (!(error instanceof ApiProblem)) throw error;
		throw new ApiProblem(
			error.status,
			error.code,
			error.message,
			Object.fromEntries(Object.entries(error.fields).map(([path, message]) => [`cellType.${path}`, message]))
		);
	}
}
