import { InputError } from '$lib/input/validate';
import { defineKind } from '../kind';
import { OF_A_BATTERY, itsBattery } from '../of-a-battery';
import { LeadReadingInput } from './input';
import { leadReadings, type LeadReading } from './row';

export const leadReadingKind = defineKind<LeadReading>({
	...OF_A_BATTERY,
	name: 'lead-readings',
	repository: leadReadings,
	called: ({ readAt }) => readAt.slice(0, 10),
	createInput: LeadReadingInput,
	changeInput: LeadReadingInput,
	columns: ['id', 'batteryId', 'readAt', 'readingsV', 'positiveV', 'meter', 'notes'],
	async check(reading, tx, before) {
		const { series } = await itsBattery(reading, tx);
		const { readingsV, positiveV } = reading;
		if (readingsV.length !== series + 1 && before?.readingsV.length !== readingsV.length)
			throw new InputError([
				{
					path: 'readingsV',
					message: `readingsV requires ${series + 1} values, leads 0 to ${series}; got ${readingsV.length}`
				}
			]);
		if (positiveV && positiveV.length !== readingsV.length)
			throw new InputError([
				{ path: 'positiveV', message: `positiveV requires as many values as readingsV, ${readingsV.length}` }
			]);
	}
});
