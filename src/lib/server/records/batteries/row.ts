import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { BatteryInput } from './input';

export type Battery = Stored<Omit<BatteryInput, 'number' | 'series' | 'parallel'>> & {
	number: number;
	series: number;
	parallel: number;
};
export const batteries = createRepository<Battery>('batteries', 'battery', 'number');
