import { expectedStaircase, judgeBalanceLeads, type CellsKnown, type LeadsJudgement } from '../leads';
import type { TightenedJoint } from '../conductors';
import { CHEMISTRY_FIGURES, restVoltageCurve } from '../../foundation/chemistry';
import { meterSd } from '../../foundation/reading';
import { mean } from '../../foundation/statistics';
import {
	chargeNow,
	undoneBy,
	tellsCharge,
	type Lapse,
	type BankPicture,
	type PictureBattery,
	type PictureCell
} from '../../picture';

/** What was written down while a bank was built, of all its batteries. */
export interface BuildRecords {
	/** The latest reading of each battery's leads. */
	leadReadings: readonly {
		id: number;
		batteryId: number;
		readAt: string;
		readingsV: readonly (number | null)[];
		positiveV: readonly (number | null)[] | null;
	}[];
	/** The latest torque of each joint. */
	torques: readonly (TightenedJoint & { batteryId: number; tightenedAt: string })[];
	/** Parts that are still in. */
	temporaryParts: readonly { id: number; version: number; batteryId: number; name: string; putInAt: string }[];
}

export interface BatteryBuild {
	battery: PictureBattery;
	/** Every place of it holds its cells. */
	whole: boolean;
	/** What each lead should read, lead 0 first. */
	expected: readonly { voltageV: number; sdV: number }[];
	/** What that is from: the cells' own readings, or what such cells may have. */
	cells: CellsKnown;
	meterSdV: number;
	reading: BuildRecords['leadReadings'][number] | null;
	/** Null while nothing was read. */
	leads: LeadsJudgement | null;
	torques: BuildRecords['torques'];
	temporaryParts: BuildRecords['temporaryParts'];
	/** What was read or tightened and no longer stands. */
	lapses: readonly Lapse[];
}

/** A cell that was read this long before its leads has changed little by itself, days. */
const STILL_TRUE_DAYS = 30;

/** What is built in stands above this share of its nominal voltage. */
const MIN_OF_NOMINAL = 0.9;

const DAY_MS = 86_400_000;

/** A cell's own voltage when its leads were read; null where nothing was read since something touched it. */
function ownVoltage(cell: PictureCell | undefined, readAt: string | null): number | null {
	const reading = cell?.readings.restVoltage;
	if (!cell || !reading) return null;
	const old = readAt !== null && Math.abs(Date.parse(readAt) - Date.parse(reading.takenAt)) > STILL_TRUE_DAYS * DAY_MS;
	return old || !tellsCharge(reading.takenAt, cell.touches, readAt) ? null : Math.abs(reading.value);
}

function cellsKnown(picture: BankPicture, battery: PictureBattery, readAt: string | null): CellsKnown {
	const byId = new Map(picture.cells.map((c) => [c.id, c]));
	const ownV = battery.groups.map(({ cellIds }) => {
		const volts = cellIds.map((id) => ownVoltage(byId.get(id), readAt));
		return volts.length === 0 || volts.includes(null) ? null : mean(volts as number[]);
	});
	if (ownV.length === battery.series && !ownV.includes(null)) return { cellsV: ownV as number[] };
	const { nominalV, plausibleRestV } = CHEMISTRY_FIGURES[picture.bank.chemistry];
	const anywhere = { low: MIN_OF_NOMINAL * nominalV, high: plausibleRestV[1] };
	const own = battery.groups.flatMap((g) => g.cellIds.flatMap((id) => byId.get(id) ?? []));
	return voltsByCharge(picture, own, readAt) ?? anywhere;
}

/** A cell rests so far off its curve, V (default): hysteresis, the curve's own doubt, and the meter. */
const OFF_CURVE_V = 0.02;

/** Between what the cells of a battery must rest by what was charged and discharged, V; null where one of them may hold anything. */
function voltsByCharge(
	picture: BankPicture,
	cells: readonly PictureCell[],
	readAt: string | null
): { low: number; high: number } | null {
	const held = cells.map((cell) => chargeNow(picture, cell, readAt));
	if (held.length === 0 || held.some((a) => a.by === 'nothing')) return null;
	const curve = restVoltageCurve(picture.bank.chemistry);
	const highest = Math.max(...held.map((a) => a.share.high));
	return {
		low: curve.at(Math.min(...held.map((a) => a.share.low))) - OFF_CURVE_V,
		// What was charged to its tail keeps its surface charge for days.
		high: held.some((a) => a.by === 'full')
			? CHEMISTRY_FIGURES[picture.bank.chemistry].plausibleRestV[1]
			: curve.at(highest) + OFF_CURVE_V
	};
}

function batteryBuild(picture: BankPicture, battery: PictureBattery, records: BuildRecords): BatteryBuild {
	const own = <T extends { batteryId: number }>(all: readonly T[]) => all.filter((r) => r.batteryId === battery.id);
	const latestReading = own(records.leadReadings)[0] ?? null;
	const undone = latestReading && undoneBy(picture, battery, 'leads', latestReading.readAt);
	const reading = undone ? null : latestReading;
	const tightened = own(records.torques).filter((t) => t.position <= battery.series);
	const loosened = new Map(
		tightened.flatMap((t) => {
			const change = undoneBy(picture, battery, 'torques', t.tightenedAt, t.position);
			return change ? [[t, change] as const] : [];
		})
	);
	const cells = cellsKnown(picture, battery, reading?.readAt ?? null);
	const meterSdV = meterSd(picture.meters.restVoltage, CHEMISTRY_FIGURES[picture.bank.chemistry].nominalV);
	const fits = reading !== null && reading.readingsV.length === battery.series + 1;
	return {
		battery,
		whole: battery.groups.length > 0 && battery.groups.every((g) => g.cellIds.length === battery.parallel),
		expected: expectedStaircase(battery.series, cells, meterSdV),
		cells,
		meterSdV,
		reading: fits ? reading : null,
		leads: fits
			? judgeBalanceLeads({
					series: battery.series,
					cells,
					readingsV: reading.readingsV,
					positiveV: reading.positiveV ?? undefined,
					meterSdV
				})
			: null,
		torques: tightened.filter((t) => !loosened.has(t)),
		temporaryParts: own(records.temporaryParts),
		lapses: [
			...(undone ? [{ evidence: 'leads' as const, change: undone }] : []),
			...[...loosened.values()].map((change) => ({ evidence: 'torques' as const, change }))
		]
	};
}

/** How far each battery that is built here has come. */
export const buildState = (picture: BankPicture, records: BuildRecords): BatteryBuild[] =>
	picture.batteries.filter((b) => b.kind === 'built').map((b) => batteryBuild(picture, b, records));
