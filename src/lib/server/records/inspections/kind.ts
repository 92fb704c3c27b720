import { defineKind } from '../kind';
import { banksOfCells } from '../touched-banks';
import { InspectionInput } from './input';
import { inspections, type InspectionRow } from './row';

export const inspectionKind = defineKind<InspectionRow>({
	name: 'inspections',
	repository: inspections,
	called: ({ inspectedAt }) => `inspection of ${inspectedAt.slice(0, 10)}`,
	createInput: InspectionInput,
	changeInput: InspectionInput,
	parents: { cellId: 'cells' },
	filters: ['cellId'],
	columns: [
		...[
			'id',
			'cellId',
			'inspectedAt',
			'dent',
			'bulge',
			'terminals',
			'thread',
			'sleeve',
			'vent',
			'leak',
			'smell',
			'heat'
		],
		...['thicknessMm', 'terminalKind', 'sleeveKind', 'ventKind', 'resolved', 'notes']
	],
	keyed: true,
	archivedWith: 'cellId',
	prepare: async (fields: InspectionInput) => ({
		...fields,
		inspectedAt: fields.inspectedAt ?? new Date().toISOString()
	}),
	banksOf: ({ cellId }, tx) => banksOfCells([cellId], tx)
});
