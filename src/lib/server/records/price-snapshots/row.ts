import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { PriceSnapshotInput } from './input';

export type PriceSnapshot = Stored<Omit<PriceSnapshotInput, 'clientKey'>>;
export const priceSnapshots = createRepository<PriceSnapshot>('price_snapshots', 'list of prices', 'takenAt', {
	json: ['items']
});
