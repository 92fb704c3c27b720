import { banks, cellTypes, type CellType } from '../records';

/** Cell types of real cells, by name; for a rehearsal bank those of simulated ones. The two are not offered together. */
export async function listCellTypes(bankId: number | null = null): Promise<CellType[]> {
	const rehearsal = bankId !== null && (await banks.get(bankId)).rehearsal;
	return cellTypes.all({ rehearsal: rehearsal ? 1 : 0 });
}
