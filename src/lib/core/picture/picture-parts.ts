import type { Subject } from '../foundation/verdicts';
import { meterSd, type MeterAccuracy } from '../foundation/reading';
import type {
	BankPicture,
	PictureBattery,
	PictureCell,
	PictureCellType,
	PictureDelivery,
	PictureReading
} from './picture';

/** Rest assumed of a cell as it comes out of its crate, s: two days of transport. */
export const CRATE_REST_S = 2 * 86400;

export const bankSubject = ({ bank }: BankPicture): Subject => ({ kind: 'bank', id: bank.id, label: bank.name });

/** A battery as what a verdict is about: by its name, or its number where there are several. */
export const batterySubject = ({ batteries, bank }: BankPicture, battery: PictureBattery): Subject => ({
	kind: 'battery',
	id: battery.id,
	label: battery.name ?? (batteries.length > 1 ? `${bank.name}, battery ${battery.number}` : bank.name)
});

/** The groups of a battery, by position. */
export const groupSubjects = ({ batteries }: BankPicture, battery: PictureBattery): Subject[] =>
	battery.groups.map((g) => ({
		kind: 'group',
		id: g.id,
		label: batteries.length > 1 ? `Battery ${battery.number}, group ${g.position}` : `Group ${g.position}`
	}));

/** The bank is used: it went into service, or was read or tested there. */
export const isInService = ({ bank, wasChecked }: BankPicture): boolean => bank.inServiceOn !== null || wasChecked;

/** Cells that sit in this bank, in tray order. */
export const placedCells = ({ cells }: BankPicture): PictureCell[] => cells.filter((c) => c.groupId !== null);

/**
 * Cells this bank asks something of: all in play until every place is filled, then those placed. A cell left over is of no
 * concern to it any more.
 */
export function concernedCells(picture: BankPicture): readonly PictureCell[] {
	const placed = placedCells(picture);
	return placed.length && placed.length >= wantedCells(picture) ? placed : picture.cells;
}

/** Places for cells in the batteries built here. */
export const wantedCells = ({ batteries }: BankPicture): number =>
	batteries.filter((b) => b.kind === 'built').reduce((sum, b) => sum + b.series * b.parallel, 0);

/** What a cell is: by the bank it was ordered for where that is of another type, else the type of this bank. */
export const ownTypeOf = (
	{ deliveries, cellType }: BankPicture,
	{ deliveryId }: Pick<PictureCell, 'deliveryId'>
): PictureCellType | null => deliveries.find((d) => d.id === deliveryId)?.ownType ?? cellType;

export const typeFigures = ({ ratedAh, acResistanceMohm, massKg }: PictureCellType) => ({
	ratedAh,
	acResistanceMohm,
	massKg: massKg ?? null
});

export const deliverySubject = ({ id, name }: PictureDelivery): Subject => ({ kind: 'delivery', id, label: name });

/** One sd of a reading: a typed one by the meter as the settings describe it today, one read live or calibrated by its own. */
export const readingSd = (reading: PictureReading, meter: MeterAccuracy): number =>
	reading.meter || reading.calibrated ? reading.sd : meterSd(meter, reading.value);
