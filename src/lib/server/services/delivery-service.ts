import type { Knex } from 'knex';
import type { Chemistry } from '$lib/core/chemistry';
import { judgeDelivery, meterSd, type DeliveryJudgement, type MeterAccuracy, type Quantity } from '$lib/core/reading';
import type { NewDeliveryInput } from '$lib/input/records';
import { database } from '../db/connection';
import { currentMeters } from './settings-service';
import {
	banks,
	cellTypes,
	cells,
	deliveries,
	readings,
	type Bank,
	type Cell,
	type CellType,
	type Delivery,
	type Reading
} from '../db/tables';

/** Rest assumed of a cell as it comes out of its crate, s: two days of transport. */
export const CRATE_REST_S = 2 * 86400;

/** Stores a delivery and its cells, labelled prefix-01 … in the order of the tray. */
export async function unpackDelivery(input: NewDeliveryInput): Promise<Delivery> {
	await banks.get(input.bankId);
	const { cellCount, labelPrefix, batch, ...fields } = input;
	return database().transaction(async (tx) => {
		const delivery = await deliveries.insert(fields, tx);
		const taken = (await cellsOfBank(input.bankId, tx)).filter((c) => c.label.startsWith(`${labelPrefix}-`)).length;
		const width = Math.max(2, String(taken + cellCount).length);
		const rows = Array.from({ length: cellCount }, (_, i) => ({
			deliveryId: delivery.id,
			label: `${labelPrefix}-${String(taken + i + 1).padStart(width, '0')}`,
			position: i + 1,
			batch: batch ?? null
		}));
		await cells.insertMany(rows, tx);
		return delivery;
	});
}

/** All cells that came for a bank, by delivery and then tray position. */
export async function cellsOfBank(bankId: number, tx?: Knex): Promise<Cell[]> {
	const own = await deliveries.all({ bankId }, tx);
	if (own.length === 0) return [];
	const all = await cells.all({ deliveryId: own.map((d) => d.id) }, tx);
	const order = new Map(own.map((d, i) => [d.id, i]));
	return all.sort((a, b) => order.get(a.deliveryId)! - order.get(b.deliveryId)! || a.position - b.position);
}

/** The latest reading of each quantity of each cell. */
export async function latestReadings(
	cellIds: readonly number[]
): Promise<Map<number, Partial<Record<Quantity, Reading>>>> {
	const latest = new Map<number, Partial<Record<Quantity, Reading>>>(cellIds.map((id) => [id, {}]));
	if (cellIds.length === 0) return latest;
	for (const reading of await readings.all({ cellId: [...cellIds] }))
		latest.get(reading.cellId)![reading.quantity] = reading;
	return latest;
}

export interface TrayCell {
	id: number;
	label: string;
	position: number;
	batch: string | null;
	readings: Partial<Record<Quantity, Pick<Reading, 'id' | 'value' | 'sd' | 'rawText' | 'takenAt' | 'version'>>>;
}

export interface DeliveryTray {
	delivery: Delivery;
	cells: TrayCell[];
	judgement: DeliveryJudgement;
}

/** A bank's own chemistry and type, the figures its cells are judged by. */
export async function bankWithType(bankId: number): Promise<{ bank: Bank; cellType: CellType | null }> {
	const bank = await banks.get(bankId);
	return { bank, cellType: bank.cellTypeId === null ? null : await cellTypes.get(bank.cellTypeId) };
}

/** Each delivery of a bank as a tray with its verdicts, oldest first. */
export async function deliveryTrays(bankId: number): Promise<DeliveryTray[]> {
	const { bank, cellType } = await bankWithType(bankId);
	const all = await cellsOfBank(bankId);
	const latest = await latestReadings(all.map((c) => c.id));
	const [own, meters] = await Promise.all([deliveries.all({ bankId }), currentMeters()]);
	return own.map((delivery) => {
		const tray = all.filter((c) => c.deliveryId === delivery.id).map((c) => trayCell(c, latest.get(c.id)!));
		return { delivery, cells: tray, judgement: judgeTray(tray, bank.chemistry, cellType, latest, meters) };
	});
}

function trayCell(cell: Cell, latest: Partial<Record<Quantity, Reading>>): TrayCell {
	const shown = Object.entries(latest).map(([quantity, r]) => [
		quantity,
		{ id: r.id, value: r.value, sd: r.sd, rawText: r.rawText, takenAt: r.takenAt, version: r.version }
	]);
	return {
		id: cell.id,
		label: cell.label,
		position: cell.position,
		batch: cell.batch,
		readings: Object.fromEntries(shown)
	};
}

function judgeTray(
	tray: readonly TrayCell[],
	chemistry: Chemistry,
	cellType: CellType | null,
	latest: Map<number, Partial<Record<Quantity, Reading>>>,
	meters: Record<Quantity, MeterAccuracy>
): DeliveryJudgement {
	// A typed reading is doubted by the meter as the settings describe it today; one read live by the sheet of its instrument.
	const sdOf = (r?: Reading) => (!r ? null : r.meter ? r.sd : meterSd(meters[r.quantity], r.value));
	const arrived = tray.map((c) => ({
		id: c.id,
		label: c.label,
		restVoltageV: c.readings.restVoltage?.value ?? null,
		acResistanceMohm: c.readings.acResistance?.value ?? null,
		restVoltageSdV: sdOf(latest.get(c.id)?.restVoltage),
		acResistanceSdMohm: sdOf(latest.get(c.id)?.acResistance)
	}));
	const restS = Math.min(CRATE_REST_S, ...tray.map((c) => latest.get(c.id)?.restVoltage?.restS ?? CRATE_REST_S));
	return judgeDelivery(arrived, {
		chemistry,
		restS,
		ratedResistanceMohm: cellType?.acResistanceMohm ?? null
	});
}
