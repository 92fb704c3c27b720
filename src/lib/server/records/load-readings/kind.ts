import { USUAL_METER_SD_V } from '$lib/core/build/leads';
import { judgeJoints } from '$lib/core/prove/joints';
import { defineKind } from '../kind';
import { OF_A_BATTERY, checkGroupLists, itsBattery } from '../of-a-battery';
import { LoadReadingInput } from './input';
import { loadReadings, type LoadReading } from './row';

export const loadReadingKind = defineKind<LoadReading>({
	...OF_A_BATTERY,
	name: 'load-readings',
	repository: loadReadings,
	called: ({ currentA, readAt }) => `${currentA.toFixed(0)} A, ${readAt.slice(0, 10)}`,
	createInput: LoadReadingInput,
	changeInput: LoadReadingInput,
	columns: ['id', 'batteryId', 'readAt', 'restV', 'loadV', 'currentA', 'meter', 'notes'],
	async check(reading, tx, before) {
		const { series, parallel } = await itsBattery(reading, tx);
		const { restV, loadV, currentA } = reading;
		checkGroupLists({ restV, loadV }, series, before);
		// What nothing can be told from is refused while the person is still at the battery.
		judgeJoints({ restV, loadV, currentA, parallel, meterSdV: USUAL_METER_SD_V });
	}
});
