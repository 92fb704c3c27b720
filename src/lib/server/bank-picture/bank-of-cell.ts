import { banks, candidates, cellTypes, placements, type Bank, type CellType } from '../records';

/** The bank a cell sits in, else the first that considers it; null while it lies in the stock. */
export async function bankOfCell(cellId: number): Promise<Bank | null> {
	const [place] = await placements.all({ cellId, removedAt: null });
	const [wish] = place ? [] : await candidates.all({ cellId });
	const bankId = place?.bankId ?? wish?.bankId;
	if (bankId === undefined) return null;
	const known = await banks.find(bankId);
	return known?.deletedAt === null ? known : null;
}

/** The type a cell is judged by: that of its bank; null where nobody has said. */
export async function typeOfCell(cellId: number): Promise<CellType | null> {
	const bank = await bankOfCell(cellId);
	return bank?.cellTypeId ? cellTypes.get(bank.cellTypeId) : null;
}
