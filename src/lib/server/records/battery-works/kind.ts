import { InputError } from '$lib/input/validate';
import { defineKind } from '../kind';
import { OF_A_BATTERY, itsBattery } from '../of-a-battery';
import { BatteryWorkInput } from './input';
import { batteryWorks, type BatteryWork } from './row';

export const batteryWorkKind = defineKind<BatteryWork>({
	...OF_A_BATTERY,
	name: 'battery-works',
	repository: batteryWorks,
	called: ({ what, doneAt }) => `${what.replace('-', ' ')}, ${doneAt.slice(0, 10)}`,
	createInput: BatteryWorkInput,
	changeInput: BatteryWorkInput,
	columns: ['id', 'batteryId', 'doneAt', 'what', 'positions', 'notes'],
	async check(work, tx, before) {
		const { series } = await itsBattery(work, tx);
		const beyond = work.positions?.find((p) => p > series);
		if (beyond !== undefined && !before?.positions?.includes(beyond))
			throw new InputError([{ path: 'positions', message: `positions requires 0 to ${series}, got ${beyond}` }]);
	}
});
