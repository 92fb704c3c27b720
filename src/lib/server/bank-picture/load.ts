import { group } from 'd3-array';
import type { Knex } from 'knex';
import type { BankPicture, PictureBattery, PictureCell, PictureReading } from '$lib/core/picture';
import { fromColumns } from '../db/case';
import { database } from '../db/connection';
import {
	balanceRuns,
	banks,
	batteries,
	calibrationsFor,
	capacityTests,
	cellTypes,
	clauses,
	deliveries,
	groups,
	limitPlans,
	methodRuns,
	modules,
	runs,
	type Cell,
	type Run
} from '../records';
import { methodOf } from './method-run';
import { currentMeters, readSettings } from '../records/settings/settings';
import { batteryChanges } from './changes';
import { calibratedReadings, calibrator } from './calibrated-readings';
import { codeTwins } from './code-twins';
import { earlierLots } from './earlier-lots';
import { latestInspections, latestStorageTests } from './latest-of-cells';
import { latestReadings } from './latest-readings';
import { ownTypes } from './own-types';
import { plannedDraw } from './planned-draw';
import { arrivalRests, runWithRests } from './rests';
import { touchesOf } from './touches';

type PlacedCell = Cell & { groupId: number | null };

/** Cells placed in a bank, and candidates that sit nowhere else, by delivery and then tray position. */
const CELLS_IN_PLAY = `
	select c.*, if(b.bank_id = :bank, p.group_id, null) as group_id
	from (
		select cell_id from candidates where bank_id = :bank and deleted_at is null
		union
		select cell_id from placed where bank_id = :bank and removed_at is null and deleted_at is null
	) play
	join cells c on c.id = play.cell_id and c.deleted_at is null
	join deliveries d on d.id = c.delivery_id and d.deleted_at is null
	left join placements p on p.open_cell_id = c.id
	left join \`groups\` g on g.id = p.group_id
	left join batteries b on b.id = g.battery_id
	where p.id is null or b.bank_id = :bank
	order by d.received_on, d.id, c.position, c.id`;

export async function cellsInPlay(bankId: number, db: Knex = database()): Promise<PlacedCell[]> {
	const [rows] = (await db.raw(CELLS_IN_PLAY, { bank: bankId })) as [Record<string, unknown>[]];
	return rows.map((row) => fromColumns<PlacedCell>(row, []));
}

/** The latest of a bank's records of one kind; null when there is none. */
async function latest(table: string, bankId: number): Promise<number | null> {
	const row = await database()(table).where({ bank_id: bankId, deleted_at: null }).max({ id: 'id' }).first();
	return row?.id ?? null;
}

/** The cells that stand in the row of a balance. */
export async function rowOf(balanceRunId: number): Promise<{ id: number; label: string }[]> {
	return database()('balance_cells')
		.join('cells', 'cells.id', 'balance_cells.cell_id')
		.where({ balance_run_id: balanceRunId })
		.whereNull('balance_cells.deleted_at')
		.orderBy('balance_cells.id')
		.select('cells.id', 'cells.label');
}

async function wasChecked(bankId: number): Promise<boolean> {
	return (await database()('service_checks').where({ bank_id: bankId, deleted_at: null }).first('id')) !== undefined;
}

async function batteriesOf(bankId: number, cells: readonly PlacedCell[]): Promise<PictureBattery[]> {
	const own = await batteries.all({ bankId });
	const all = own.length ? await groups.all({ batteryId: own.map((b) => b.id) }) : [];
	const held = group(cells, (c) => c.groupId);
	return own.map((battery) => ({
		...battery,
		groups: all
			.filter((g) => g.batteryId === battery.id)
			.map(({ id, position }) => ({ id, position, cellIds: (held.get(id) ?? []).map((c) => c.id) }))
	}));
}

/** The latest capacity test of each battery. */
async function latestBatteryTests(bankId: number): Promise<BankPicture['batteryTests']> {
	return [...new Map((await capacityTests.all({ bankId })).map((test) => [test.battery, test])).values()];
}

/** Capacity results, each with what the instrument that counted it is known to show too much today. */
async function runsOf(cellIds: readonly number[]): Promise<Map<number, (Run & { shownTooMuch: number | null })[]>> {
	const all = cellIds.length ? await runs.all({ cellId: cellIds }) : [];
	const ids = [...new Set(all.flatMap((r) => r.instrumentId ?? []))];
	// One that was taken out since is off by what it was.
	const known = (await database()('instruments').whereIn('id', ids).select('id', 'current_gain_percent')) as {
		id: number;
		current_gain_percent: number;
	}[];
	const gains = new Map(known.map((i) => [i.id, i.current_gain_percent / 100]));
	return group(
		all.map((r) => ({ ...r, shownTooMuch: r.instrumentId === null ? null : (gains.get(r.instrumentId) ?? null) })),
		(r) => r.cellId
	);
}

/** What all stages of a bank share: a handful of queries, whatever the history. @throws ServiceError 404 */
export async function loadBankPicture(bankId: number): Promise<BankPicture> {
	const bank = await banks.get(bankId);
	const cells = await cellsInPlay(bankId);
	const ids = cells.map((c) => c.id);
	const deliveryIds = [...new Set(cells.map((c) => c.deliveryId))];
	const [
		cellType,
		meters,
		own,
		readings,
		joined,
		byCell,
		crates,
		balanceId,
		checked,
		promises,
		looked,
		stored,
		twins,
		settings,
		comparisons,
		touches,
		taken,
		limitPlan,
		methodRun,
		lots,
		draw,
		batteryTests
	] = await Promise.all([
		bank.cellTypeId === null ? null : cellTypes.get(bank.cellTypeId),
		currentMeters(),
		batteriesOf(bankId, cells),
		latestReadings(ids),
		latestReadings(ids, 'joined'),
		runsOf(ids),
		deliveryIds.length ? deliveries.all({ id: deliveryIds }) : [],
		latest('balance_runs', bankId),
		wasChecked(bankId),
		bank.cellTypeId === null ? [] : clauses.all({ cellTypeId: bank.cellTypeId }),
		latestInspections(ids),
		latestStorageTests(ids),
		codeTwins(cells),
		readSettings(),
		calibrationsFor(bank),
		touchesOf(ids),
		deliveryIds.length ? modules.all({ deliveryId: deliveryIds }) : [],
		latest('limit_plans', bankId).then((id) => (id === null ? null : limitPlans.get(id))),
		latest('method_runs', bankId).then(async (id) => (id === null ? null : methodOf(await methodRuns.get(id)))),
		earlierLots(bank, deliveryIds),
		plannedDraw(bankId),
		latestBatteryTests(bankId)
	]);
	const calibrated = calibrator(comparisons, meters);
	const trueReadings = calibratedReadings(readings, calibrated);
	const latestRest = new Map(ids.map((id) => [id, readings.get(id)?.restVoltage ?? null]));
	const known = { latestRest, touches, calibrated: (reading: PictureReading) => calibrated('restVoltage', reading) };
	const [typesOf, arrived, changes, balanceRun] = await Promise.all([
		ownTypes(bank, crates),
		arrivalRests(ids, known),
		batteryChanges(own),
		balanceId === null ? null : runWithRests(await balanceRuns.get(balanceId), await rowOf(balanceId), known)
	]);
	return {
		bank,
		cellType,
		clauses: promises,
		currency: settings.currency,
		meters,
		testerCalibrations: comparisons.filter((c) => c.quantity === 'capacity'),
		deliveries: crates.map((d) => ({
			...d,
			used: d.used === null ? null : Boolean(d.used),
			ownType: typesOf.get(d.id) ?? null
		})),
		cells: cells.map(
			({ id, label, deliveryId, position, batch, code, printedMonth, plusTurned, groupId }): PictureCell => ({
				id,
				label,
				deliveryId,
				position,
				batch,
				code,
				printedMonth: printedMonth ?? null,
				codeTwins: twins.get(id) ?? [],
				inspection: looked.get(id) ?? null,
				storageTest: stored.get(id) ?? null,
				plusTurned: Boolean(plusTurned),
				readings: trueReadings.get(id) ?? {},
				touches: touches.get(id) ?? [],
				arrivalRead: arrived.get(id) ?? null,
				joined: joined.get(id)?.restVoltage ?? null,
				runs: (byCell.get(id) ?? []).filter((r) => r.heldAtC === null),
				heldRuns: (byCell.get(id) ?? []).filter((r) => r.heldAtC !== null),
				groupId
			})
		),
		modules: taken,
		batteries: own,
		limitPlan,
		balanceRun,
		batteryTests,
		changes,
		earlierLots: lots,
		methodRun,
		plannedDraw: draw,
		wasChecked: checked
	};
}
