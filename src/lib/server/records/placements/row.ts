import { createRepository, type Recorded } from '../../db/repository';

/** Where a cell sits or sat. Bank, battery (id and number) and position are those of its group. */
export type Placement = Recorded & {
	cellId: number;
	groupId: number;
	bankId: number;
	batteryId: number;
	battery: number;
	position: number;
	placedAt: string;
	removedAt: string | null;
};
export const placements = createRepository<Placement>('placements', 'placement', 'position', { view: 'placed' });
