import type { Random } from '$lib/core/foundation/statistics';
import { cells } from '$lib/server/records';
import { daysBefore } from './clock';
import { drawCrate, readResistance, readRestVoltage } from './hidden-cells';
import { make } from './make';

/** A handful of cells bought for no bank in particular: they lie in the stock. */
export async function loadStock(random: Random, now: Date): Promise<void> {
	const delivery = await make('deliveries', {
		name: 'Box from the flea market',
		receivedOn: daysBefore(now, 12).slice(0, 10),
		supplier: 'A neighbour',
		cellCount: 6,
		labelPrefix: 'S',
		batch: 'T-0519'
	});
	const crate = drawCrate(random, { ratedAh: 105, count: 6, capacityMean: 1.01, capacitySd: 0.012, soc: 0.4 });
	const rows = await cells.all({ deliveryId: delivery.id });
	for (const [i, cell] of crate.entries()) {
		const cellId = rows[i]!.id;
		const takenAt = daysBefore(now, 11);
		await make('readings', { cellId, quantity: 'restVoltage', rawText: readRestVoltage(random, cell), takenAt });
		await make('readings', { cellId, quantity: 'acResistance', rawText: readResistance(random, cell), takenAt });
	}
}
