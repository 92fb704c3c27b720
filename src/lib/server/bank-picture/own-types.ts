import type { PictureCellType } from '$lib/core/picture';
import { banks, cellTypes, type Bank, type Delivery } from '../records';

/** What the cells of each delivery are by the bank they were ordered for, where that is of another type than this bank; others have no entry. */
export async function ownTypes(bank: Bank, crates: readonly Delivery[]): Promise<Map<number, PictureCellType>> {
	const elsewhere = crates.filter((d) => d.bankId != null && d.bankId !== bank.id);
	if (elsewhere.length === 0) return new Map();
	const orderedFor = await banks.all({ id: [...new Set(elsewhere.map((d) => d.bankId!))] });
	const typeIds = [...new Set(orderedFor.flatMap((b) => b.cellTypeId ?? []))].filter((id) => id !== bank.cellTypeId);
	const types = new Map((typeIds.length ? await cellTypes.all({ id: typeIds }) : []).map((t) => [t.id, t]));
	const typeOf = new Map(orderedFor.map((b) => [b.id, b.cellTypeId === null ? undefined : types.get(b.cellTypeId)]));
	return new Map(
		elsewhere.flatMap((d) => {
			const type = typeOf.get(d.bankId!);
			return type ? [[d.id, type] as const] : [];
		})
	);
}
