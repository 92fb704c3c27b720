import { InputError } from '$lib/input/validate';
import { defineKind } from '../kind';
import { OF_A_BATTERY } from '../of-a-battery';
import { TemporaryPartInput } from './input';
import { temporaryParts, type TemporaryPart } from './row';

export const temporaryPartKind = defineKind<TemporaryPart>({
	...OF_A_BATTERY,
	name: 'temporary-parts',
	repository: temporaryParts,
	called: ({ name }) => name,
	createInput: TemporaryPartInput,
	changeInput: TemporaryPartInput,
	columns: ['id', 'batteryId', 'name', 'putInAt', 'takenOutAt'],
	async check({ putInAt, takenOutAt }) {
		if (takenOutAt && takenOutAt < putInAt)
			throw new InputError([{ path: 'takenOutAt', message: 'takenOutAt is before putInAt' }]);
	}
});
