import { group } from 'd3-array';
import { judgeModules, makeOf, placeInModule, type WholeModule } from '../receive/modules';
import { meterSd } from '../foundation/reading';
import { cellSubject, type Subject, type Verdict } from '../foundation/verdicts';
import { oncePerPicture } from './once-per-picture';
import type { BankPicture, PictureCell, PictureDelivery, PictureModule } from './picture';
import { CRATE_REST_S, deliverySubject } from './picture-parts';

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
			...{ number, cells: held, label: labelOf(held, number) },
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

/** What the modules of a delivery tell that are in one piece. */
export function moduleVerdicts(picture: BankPicture, delivery: PictureDelivery): Verdict[] {
	const make = makeOf(delivery);
	if (!make) return [];
	const whole = modulesOf(delivery, picture).filter((m) => !m.record?.openedOn);
	const judged = whole.map(({ number, label, cells, record }): WholeModule => {
		// One of which nothing is written down has no record to be about.
		const subject: Subject = record
			? { kind: 'module', id: record.id, label }
			: { kind: 'module', id: `${delivery.id}/${number}`, label };
		return {
			...{ subject, cells: cells.map(cellSubject), voltageV: record?.voltageV ?? null },
			...{ groupsV: record?.groupsV ?? null, seen: record?.seen ?? [] }
		};
	});
	const { chemistry } = picture.bank;
	const terms = { make, chemistry, sdV: (v: number) => meterSd(picture.meters.restVoltage, v), restS: CRATE_REST_S };
	return judgeModules(judged, terms, deliverySubject(delivery));
}
