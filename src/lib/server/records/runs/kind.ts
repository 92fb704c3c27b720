import { TESTER_GAIN_SD } from '$lib/core/test/verdicts';
import { defineKind } from '../kind';
import { banksOfCells } from '../touched-banks';
import { RunInput, StoredRunInput } from './input';
import { runs, type Run } from './row';

export const runKind = defineKind<Run>({
	name: 'runs',
	repository: runs,
	called: ({ capacityAh }) => `${capacityAh.toFixed(1)} Ah`,
	createInput: RunInput,
	changeInput: RunInput,
	storedInput: StoredRunInput,
	parents: { cellId: 'cells', instrumentId: 'instruments?' },
	filters: ['cellId', 'source'],
	columns: [
		'id',
		'cellId',
		'source',
		'capacityAh',
		'sdAh',
		'energyWh',
		'meanVoltageV',
		'currentA',
		'cRate',
		'durationS',
		'endVoltageV',
		'temperatureC',
		'heldAtC',
		'testedAt',
		'tester',
		'fileName'
	],
	keyed: true,
	archivedWith: 'cellId',
	prepare: async (fields: RunInput) => ({
		...fields,
		source: 'hand',
		testedAt: fields.testedAt ?? new Date().toISOString(),
		sdAh: fields.sdAh ?? fields.capacityAh * TESTER_GAIN_SD
	}),
	banksOf: ({ cellId }, tx) => banksOfCells([cellId], tx)
});
