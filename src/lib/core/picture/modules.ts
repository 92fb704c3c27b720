import { group } from 'd3-array';
import { makeOf, placeInModule } from './module-make';
import { oncePerPicture } from './once-per-picture';
import type { BankPicture, PictureCell, PictureDelivery, PictureModule } from './picture';

/** A module of a delivery with its cells in play, and what is written down of it. */
export interface ModuleOfDelivery {
	number: number;
	/** As its cells are labelled. */
	label: string;
	cells: readonly PictureCell[];
	/** Null: nothing is written down. */
	record: PictureModule | null;
}

const labelOf = (cells: readonly PictureCell[], number: number): string =>
	cells[0]?.label.replace(/-\d+$/, '') ?? `Module ${number}`;

/** The modules a delivery came as, in their order; none for single cells. */
export function modulesOf(delivery: PictureDelivery, { cells, modules = [] }: BankPicture): ModuleOfDelivery[] {
	const make = makeOf(delivery);
	if (!make) return [];
	const own = cells.filter((c) => c.deliveryId === delivery.id);
	return [...group(own, (c) => placeInModule(c.position, make).module)]
		.sort(([a], [b]) => a - b)
		.map(([number, held]) => ({
			number,
			cells: held,
			label: labelOf(held, number),
			record: modules.find((m) => m.deliveryId === delivery.id && m.number === number) ?? null
		}));
}

/** Cells whose module is in one piece: nobody can reach their terminals yet. */
export const cellsInModules = oncePerPicture(
	(picture): ReadonlySet<number> =>
		new Set(
			picture.deliveries.flatMap((d) =>
				modulesOf(d, picture).flatMap((m) => (m.record?.openedOn ? [] : m.cells.map((c) => c.id)))
			)
		)
);
