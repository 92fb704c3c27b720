import { CHEMISTRIES, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requireFinite, requireNotNegative, requirePositive } from '../../foundation/errors';

/** Panels that face one way. */
export interface PanelField {
	w: number;
	/** From the horizontal, °; and where it faces, from north over east (180: south). */
	tiltDeg: number;
	azimuthDeg: number;
}

/** Something that runs, or feeds, at certain hours of the day. */
export interface Hourly {
	w: number;
	/** 0 … 23: from that hour to the next. */
	hours: readonly number[];
	/** 1 … 12; all when missing or null. */
	months?: readonly number[] | null;
	/** 1 (Monday) … 7 (Sunday); all when missing or null. */
	days?: readonly number[] | null;
}

export interface YearInput {
	latitudeDeg: number;
	fields: readonly PanelField[];
	/** kWh/m² a day on the horizontal, January first; missing or null: what is usual at the latitude. */
	sunHours?: readonly number[] | null;
	/** Mean air temperature by month; missing or null: what is usual at the latitude. */
	airC?: readonly number[] | null;
	/** Behind the inverter where there is one, unless `dc`. */
	loads: readonly (Hourly & { dc?: boolean })[];
	inverter?: { efficiency: number; idleW: number } | null;
	/** BMS, balancer, display, relays: always. */
	standbyW?: number | null;
	/** Alternator, shore: what they bring as direct current. */
	sources?: readonly Hourly[] | null;
	battery: {
		chemistry: Chemistry;
		/** In the window that is used. */
		usableWh: number;
		maxChargeW: number;
		/** No charge below; the chemistry's when missing. */
		chargeColdC?: number | null;
		/** Of the cells by month, °C; as the air when missing. */
		cellC?: readonly number[] | null;
	};
	/** Comes on below `startSoc` of the usable charge and stays on until `stopSoc`. */
	generator?: { w: number; startSoc: number; stopSoc: number } | null;
	seed?: number | null;
	/** Drawn; 200 when missing. */
	years?: number | null;
}

export const USUAL_YEARS = 200;
const MAX_YEARS = 2000;
const MONTHS = 12;

function requireBetween(value: number, low: number, high: number, path: string): number {
	if (!(requireFinite(value, path) >= low && value <= high))
		throw new CoreError('out-of-range', path, `${path} requires ${low} to ${high}, got ${value}`);
	return value;
}

function requireMonths(values: readonly number[], path: string): readonly number[] {
	if (values.length !== MONTHS)
		throw new CoreError('months', path, `${path} requires 12 values, January first; got ${values.length}`);
	values.forEach((v, m) => requireFinite(v, `${path}.${m}`));
	return values;
}

function requireHourly({ w, hours, months, days }: Hourly, path: string): void {
	requireNotNegative(w, `${path}.w`);
	const whole = (v: number, low: number, high: number, at: string) => {
		if (!Number.isInteger(v) || v < low || v > high)
			throw new CoreError('out-of-range', at, `${at} requires a whole number from ${low} to ${high}, got ${v}`);
	};
	hours.forEach((h, i) => whole(h, 0, 23, `${path}.hours.${i}`));
	months?.forEach((m, i) => whole(m, 1, MONTHS, `${path}.months.${i}`));
	days?.forEach((d, i) => whole(d, 1, 7, `${path}.days.${i}`));
}

/** @throws CoreError `out-of-range`, `not-positive`, `negative`, `not-a-number`, `months`, `chemistry`, `order` */
export function checkYearInput(input: YearInput): void {
	requireBetween(input.latitudeDeg, -90, 90, 'latitudeDeg');
	input.fields.forEach(({ w, tiltDeg, azimuthDeg }, i) => {
		requireNotNegative(w, `fields.${i}.w`);
		requireBetween(tiltDeg, 0, 90, `fields.${i}.tiltDeg`);
		requireBetween(azimuthDeg, 0, 360, `fields.${i}.azimuthDeg`);
	});
	if (input.sunHours)
		requireMonths(input.sunHours, 'sunHours').forEach((v, m) => requireNotNegative(v, `sunHours.${m}`));
	if (input.airC) requireMonths(input.airC, 'airC').forEach((v, m) => requireBetween(v, -60, 60, `airC.${m}`));
	input.loads.forEach((load, i) => requireHourly(load, `loads.${i}`));
	input.sources?.forEach((source, i) => requireHourly(source, `sources.${i}`));
	if (input.inverter) {
		requireBetween(input.inverter.efficiency, 0.3, 1, 'inverter.efficiency');
		requireNotNegative(input.inverter.idleW, 'inverter.idleW');
	}
	requireNotNegative(input.standbyW ?? 0, 'standbyW');
	const { chemistry, usableWh, maxChargeW, cellC } = input.battery;
	if (!CHEMISTRIES.includes(chemistry))
		throw new CoreError('chemistry', 'battery.chemistry', `chemistry requires one of ${CHEMISTRIES.join(', ')}`);
	requirePositive(usableWh, 'battery.usableWh');
	requireNotNegative(maxChargeW, 'battery.maxChargeW');
	if (cellC) requireMonths(cellC, 'battery.cellC');
	if (input.generator) checkGenerator(input.generator);
	const years = requireBetween(input.years ?? USUAL_YEARS, 1, MAX_YEARS, 'years');
	if (!Number.isInteger(years))
		throw new CoreError('out-of-range', 'years', `years requires a whole number, got ${years}`);
}

function checkGenerator({ w, startSoc, stopSoc }: NonNullable<YearInput['generator']>): void {
	requirePositive(w, 'generator.w');
	requireBetween(startSoc, 0, 1, 'generator.startSoc');
	requireBetween(stopSoc, 0, 1, 'generator.stopSoc');
	if (stopSoc <= startSoc)
		throw new CoreError(
			'order',
			'generator.stopSoc',
			`generator.stopSoc requires more than startSoc, ${startSoc}; got ${stopSoc}`
		);
}
