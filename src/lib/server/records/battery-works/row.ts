import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { BatteryWorkInput } from './input';

export type BatteryWork = Stored<Omit<BatteryWorkInput, 'clientKey'>>;
export const batteryWorks = createRepository<BatteryWork>('battery_works', 'work on a battery', 'doneAt', {
	json: ['positions']
});
