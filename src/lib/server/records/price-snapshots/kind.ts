import { defineKind } from '../kind';
import { PriceSnapshotInput } from './input';
import { priceSnapshots, type PriceSnapshot } from './row';

export const priceSnapshotKind = defineKind<PriceSnapshot>({
	name: 'price-snapshots',
	repository: priceSnapshots,
	called: ({ takenAt, items }) => `${items.length} prices of ${takenAt.slice(0, 10)}`,
	createInput: PriceSnapshotInput,
	changeInput: PriceSnapshotInput,
	parents: { bankId: 'banks' },
	filters: ['bankId'],
	columns: null,
	keyed: true,
	archivedWith: 'bankId',
	banksOf: async () => []
});
