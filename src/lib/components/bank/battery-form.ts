import type { BodyFor } from '$lib/client/api/api-shapes';
import type { PictureBattery } from '$lib/core/picture';

/** A battery as the page of its bank knows it. */
export interface BatteryRow extends Omit<PictureBattery, 'groups' | 'bmsResolutionV'> {
	version: number;
	maker: string | null;
	ratedWh: number | null;
	bmsHighV: number | null;
	bmsLowV: number | null;
	bmsChargeA: number | null;
	bmsDischargeA: number | null;
	mostInSeries: number | null;
}

/** What a maker says of a ready-made battery. */
export const READY_MADE_FIELDS = [
	{ key: 'ratedAh', label: 'Rated', unit: 'Ah' },
	{ key: 'ratedWh', label: 'Rated', unit: 'Wh' },
	{ key: 'nominalV', label: 'Nominal', unit: 'V' },
	{ key: 'bmsHighV', label: 'Its BMS trips above', unit: 'V' },
	{ key: 'bmsLowV', label: 'and below', unit: 'V' },
	{ key: 'bmsChargeA', label: 'Most charge', unit: 'A' },
	{ key: 'bmsDischargeA', label: 'Most discharge', unit: 'A' },
	{ key: 'mostInSeries', label: 'Most in series', unit: undefined }
] as const;

const NUMBERS = [
	'bmsA',
	'bmsLeastCells',
	'bmsMostCells',
	'fuseA',
	'cableA',
	...READY_MADE_FIELDS.map((f) => f.key)
] as const;
type NumberField = (typeof NUMBERS)[number];

export type BatteryForm = Pick<BatteryRow, 'kind' | 'joins'> & {
	name: string;
	maker: string;
	newOn: string | null;
} & Record<NumberField, number | null>;

/** The form of a battery; empty for none. */
export function batteryForm(battery: BatteryRow | null): BatteryForm {
	const numbers = Object.fromEntries(NUMBERS.map((key) => [key, battery?.[key] ?? null])) as Record<
		NumberField,
		number | null
	>;
	return {
		kind: battery?.kind ?? 'built',
		joins: battery?.joins ?? 'parallel',
		name: battery?.name ?? '',
		maker: battery?.maker ?? '',
		newOn: battery?.newOn?.slice(0, 10) ?? null,
		...numbers
	};
}

const orNull = (value: unknown) => (value === null || value === '' || value === undefined ? null : Number(value));

/** What the form says, as it is sent: a battery built here has no maker’s figures. */
export function batteryFields({
	kind,
	joins,
	name,
	maker,
	newOn,
	...numbers
}: BatteryForm): Omit<BodyFor<'patch', `batteries/${number}`>, 'version'> {
	const ready = kind === 'ready-made';
	const figures = Object.fromEntries(READY_MADE_FIELDS.map(({ key }) => [key, ready ? orNull(numbers[key]) : null]));
	return {
		kind,
		joins: ready ? joins : 'parallel',
		name: name.trim() || null,
		newOn: newOn || null,
		maker: ready ? maker.trim() || null : null,
		bmsA: ready ? null : orNull(numbers.bmsA),
		bmsLeastCells: ready ? null : orNull(numbers.bmsLeastCells),
		bmsMostCells: ready ? null : orNull(numbers.bmsMostCells),
		fuseA: orNull(numbers.fuseA),
		cableA: orNull(numbers.cableA),
		...figures
	};
}
