import type { Knex } from 'knex';
import { ServiceError } from '../../errors';
import { batteries, type Battery } from '../../records/batteries/row';
import { groups } from '../../records/groups/row';

interface Layout {
	id: number;
	series: number;
	parallel: number;
	batteries: number;
}

/** Cells that sit in a battery now. */
export async function cellsIn(batteryId: number, tx: Knex): Promise<number> {
	const [counted] = await tx('placed')
		.where({ battery_id: batteryId, removed_at: null, deleted_at: null })
		.count({ n: '*' });
	return Number(counted!.n);
}

/**
 * Makes batteries and groups follow a bank's layout: missing ones are made, those too many taken out.
 * @throws ServiceError 409 while cells sit where the layout would change under them
 */
export async function layOut(bank: Layout, tx: Knex): Promise<void> {
	const own = await batteries.all({ bankId: bank.id }, tx);
	for (let number = 1; number <= bank.batteries; number++) {
		const battery = own.find((b) => b.number === number);
		if (!battery) await add(bank, number, tx);
		else if (battery.kind === 'built' && (battery.series !== bank.series || battery.parallel !== bank.parallel))
			await reshape(battery, bank, tx);
	}
	for (const battery of own.filter((b) => b.number > bank.batteries)) {
		await refuseWhileHolding(battery, tx);
		await groups.updateAll({ batteryId: battery.id }, { deletedAt: new Date() }, tx);
		await batteries.updateAll({ id: battery.id }, { deletedAt: new Date() }, tx);
	}
}

async function add({ id, series, parallel }: Layout, number: number, tx: Knex): Promise<void> {
	const battery = await batteries.insert(
		{ bankId: id, number, series, parallel, kind: 'built', joins: 'parallel' },
		tx
	);
	await fitGroups(battery, tx);
}

async function reshape(battery: Battery, { series, parallel }: Layout, tx: Knex): Promise<void> {
	await refuseWhileHolding(battery, tx);
	await fitGroups(await batteries.update(battery.id, battery.version, { series, parallel }, tx), tx);
}

async function refuseWhileHolding(battery: Battery, tx: Knex): Promise<void> {
	await batteries.hold(battery.id, tx, 'update');
	const held = await cellsIn(battery.id, tx);
	if (held)
		throw new ServiceError(
			409,
			'layout-in-use',
			`Battery ${battery.number} holds ${held} ${held === 1 ? 'cell' : 'cells'}, placed for ${battery.series}S${battery.parallel}P. Take them out on Match first: placements, leads and checks would not fit another layout.`
		);
}

/** One group a series position; a ready-made battery's are its sense points, where it shows them. */
export async function fitGroups(battery: Battery, tx: Knex): Promise<void> {
	const own = await groups.all({ batteryId: battery.id }, tx);
	const missing = Array.from({ length: battery.series }, (_, i) => i + 1).filter(
		(position) => !own.some((g) => g.position === position)
	);
	await groups.insertMany(
		missing.map((position) => ({ batteryId: battery.id, position })),
		tx
	);
	for (const extra of own.filter((g) => g.position > battery.series)) await groups.remove(extra.id, extra.version, tx);
}
