import type { Knex } from 'knex';
import { createRecords, type Table } from './records';

const refers = (table: Table, column: string, parent: string) =>
	table.integer(column).unsigned().notNullable().references('id').inTable(parent);

/** Only one record that is not taken out may have these columns alike. */
const oneLive = (knex: Knex, table: string, columns: readonly string[]) =>
	knex.raw(
		`alter table ?? add column live tinyint as (if(deleted_at is null, 1, null)) virtual,
		 add unique key one_live (${columns.map(() => '??').join(', ')}, live)`,
		[table, ...columns]
	);

/**
 * Cells go to the stock; batteries and their groups become records; a placement puts a cell into a group. What was recorded
 * of fuse, cable and BMS moves from the limit plan to the battery.
 */
export async function up(knex: Knex): Promise<void> {
	await createTables(knex);
	await layOutBanks(knex);
	await stockDeliveries(knex);
	await movePlacements(knex);
	await knex.schema.alterTable('limit_plans', (t) => t.dropColumns('bms_a', 'bms_resolution_v', 'fuse_a', 'cable_a'));
	await moveClientKeys(knex);
	await knex.schema.alterTable(
		'readings',
		(t) => void t.index(['cell_id', 'quantity', 'deleted_at', 'taken_at', 'id'], 'latest')
	);
}

async function createTables(knex: Knex): Promise<void> {
	const create = (name: string, build: (table: Table) => void) => createRecords(knex, name, build);
	await create('batteries', (t) => {
		refers(t, 'bank_id', 'banks');
		t.integer('number').unsigned().notNullable().comment('from 1 within its bank');
		t.string('name', 80);
		t.string('kind', 12).notNullable().defaultTo('built').comment('built or ready-made');
		t.integer('series').unsigned().notNullable();
		t.integer('parallel').unsigned().notNullable();
		t.string('joins', 10).notNullable().defaultTo('parallel').comment('how it joins the others: parallel or series');
		for (const column of ['bms_a', 'bms_resolution_v', 'fuse_a', 'cable_a']) t.double(column);
		t.string('maker', 80);
		for (const column of [
			'rated_ah',
			'rated_wh',
			'nominal_v',
			'bms_high_v',
			'bms_low_v',
			'bms_charge_a',
			'bms_discharge_a'
		])
			t.double(column).comment('by the maker of a ready-made battery');
		t.integer('most_in_series').unsigned().comment('by the maker of a ready-made battery');
	});
	await oneLive(knex, 'batteries', ['bank_id', 'number']);
	await create('groups', (t) => {
		refers(t, 'battery_id', 'batteries');
		t.integer('position').unsigned().notNullable().comment('from the battery negative, from 1');
	});
	await oneLive(knex, 'groups', ['battery_id', 'position']);
	await create('candidates', (t) => {
		refers(t, 'bank_id', 'banks');
		refers(t, 'cell_id', 'cells');
	});
	await oneLive(knex, 'candidates', ['bank_id', 'cell_id']);
	await knex.schema.createTable('client_keys', (t) => {
		t.engine('InnoDB');
		t.string('kind', 40).notNullable();
		t.specificType('client_key', 'varbinary(320)').notNullable().comment('compared byte for byte');
		t.specificType('request_hash', 'binary(32)').comment('of the request that came with it; unknown before this table');
		t.integer('record_id').unsigned();
		t.datetime('created_at', { precision: 3 }).notNullable();
		t.primary(['kind', 'client_key']);
	});
}

const stamps = () => ({ created_at: new Date(), updated_at: new Date() });

interface OldPlacement {
	id: number;
	cell_id: number;
	bank_id: number;
	battery: number;
	position: number;
	removed_at: Date | null;
	deleted_at: Date | null;
}

/** A battery a bank was planned with, and its groups; fuse, cable and BMS by the latest limit plan. */
async function layOutBanks(knex: Knex): Promise<void> {
	for (const bank of await knex('banks')) {
		const plan = await knex('limit_plans').where({ bank_id: bank.id, deleted_at: null }).orderBy('id', 'desc').first();
		for (let number = 1; number <= bank.batteries; number++) {
			const [batteryId] = await knex('batteries').insert({
				bank_id: bank.id,
				number,
				series: bank.series,
				parallel: bank.parallel,
				bms_a: plan?.bms_a ?? null,
				bms_resolution_v: plan?.bms_resolution_v ?? null,
				fuse_a: plan?.fuse_a ?? null,
				cable_a: plan?.cable_a ?? null,
				...stamps()
			});
			const groups = Array.from({ length: bank.series }, (_, g) => ({
				battery_id: batteryId,
				position: g + 1,
				...stamps()
			}));
			await knex('groups').insert(groups);
		}
	}
}

/** A delivery for a bank makes its cells candidates there; whether it is rehearsed is its own mark from now on. */
async function stockDeliveries(knex: Knex): Promise<void> {
	await knex.schema.alterTable('deliveries', (t) => {
		t.boolean('rehearsal').notNullable().defaultTo(false);
		t.integer('bank_id').unsigned().nullable().alter();
	});
	await knex.raw('update deliveries d join banks b on b.id = d.bank_id set d.rehearsal = b.rehearsal');
	await knex.raw(`
		insert into candidates (bank_id, cell_id, version, created_at, updated_at, deleted_at)
		select d.bank_id, c.id, 1, c.created_at, c.updated_at, greatest(d.deleted_at, c.deleted_at)
		from cells c join deliveries d on d.id = c.delivery_id where d.deleted_at is null and c.deleted_at is null`);
}

/** Where a placement was: a group outside the layout is kept for its history, taken out. */
async function groupOf(
	knex: Knex,
	{ bank_id, battery, position }: OldPlacement
): Promise<{ id: number; live: boolean }> {
	const gone = { ...stamps(), deleted_at: new Date() };
	const known = await knex('batteries').where({ bank_id, number: battery }).first();
	const batteryId =
		known?.id ??
		(await knex('batteries').insert({ bank_id, number: battery, series: position, parallel: 1, ...gone }))[0];
	const group = await knex('groups').where({ battery_id: batteryId, position }).first();
	if (group) return { id: group.id, live: group.deleted_at === null && known?.deleted_at === null };
	const [id] = await knex('groups').insert({ battery_id: batteryId, position, ...gone });
	return { id: id!, live: false };
}

async function movePlacements(knex: Knex): Promise<void> {
	await knex.schema.alterTable(
		'placements',
		(t) => void t.integer('group_id').unsigned().references('id').inTable('groups')
	);
	// Newest first: where a cell was in two places at once, the latest stands.
	const rows = (await knex('placements').orderBy('placed_at', 'desc').orderBy('id', 'desc')) as OldPlacement[];
	const open = new Set<number>();
	for (const row of rows) {
		const group = await groupOf(knex, row);
		const isOpen = row.removed_at === null && row.deleted_at === null;
		const ended = isOpen && (!group.live || open.has(row.cell_id));
		if (isOpen && !ended) open.add(row.cell_id);
		await knex('placements')
			.where({ id: row.id })
			.update({ group_id: group.id, ...(ended ? { removed_at: new Date() } : {}) });
	}
	await knex.schema.alterTable('placements', (t) => {
		t.dropForeign('bank_id');
		t.dropColumns('bank_id', 'battery', 'position');
		t.integer('group_id').unsigned().notNullable().alter();
	});
	await knex.raw(`
		alter table placements
			add column open_cell_id int unsigned as (if(removed_at is null and deleted_at is null, cell_id, null)) virtual,
			add unique key one_place (open_cell_id)`);
	await knex.raw(`
		create view placed as
		select p.id, p.cell_id, p.group_id, p.placed_at, p.removed_at, p.version, p.created_at, p.updated_at, p.deleted_at,
			b.bank_id, g.battery_id, b.number as battery, g.position
		from placements p join \`groups\` g on g.id = p.group_id join batteries b on b.id = g.battery_id`);
}

async function moveClientKeys(knex: Knex): Promise<void> {
	await knex.raw(`
		insert ignore into client_keys (kind, client_key, request_hash, record_id, created_at)
		select 'readings', client_key, null, id, created_at from readings where client_key is not null`);
	await knex.schema.alterTable('readings', (t) => void t.dropColumn('client_key'));
}
