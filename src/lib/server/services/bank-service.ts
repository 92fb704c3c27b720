import { cellTypes, type CellType } from '../db/tables';

/** Every cell type, by name. */
export async function listCellTypes(): Promise<CellType[]> {
	return cellTypes.all({});
}
