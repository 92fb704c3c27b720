import { ServiceError } from '../errors';
import { acknowledgementKind } from './acknowledgements/kind';
import { attachmentKind } from './attachments/kind';
import { balanceCellKind } from './balance-cells/kind';
import { balanceReadingKind } from './balance-readings/kind';
import { balanceRunKind } from './balance-runs/kind';
import { bankKind } from './banks/kind';
import { batteryKind } from './batteries/kind';
import { bmsComparisonKind } from './bms-comparisons/kind';
import { calibrationKind } from './calibrations/kind';
import { candidateKind } from './candidates/kind';
import { capacityTestKind } from './capacity-tests/kind';
import { cellTypeKind } from './cell-types/kind';
import { cellKind } from './cells/kind';
import { chargeCountKind } from './charge-counts/kind';
import { clauseKind } from './clauses/kind';
import { deliveryKind } from './deliveries/kind';
import { groupKind } from './groups/kind';
import { inspectionKind } from './inspections/kind';
import { instrumentKind } from './instruments/kind';
import { jointTorqueKind } from './joint-torques/kind';
import type { RecordKind } from './kind';
import { leadReadingKind } from './lead-readings/kind';
import { limitPlanKind } from './limit-plans/kind';
import { liveEventKind } from './live-events/kind';
import { liveRunKind } from './live-runs/kind';
import { loadReadingKind } from './load-readings/kind';
import { methodEntryKind } from './method-entries/kind';
import { methodRunKind } from './method-runs/kind';
import { moduleKind } from './modules/kind';
import { noteKind } from './notes/kind';
import { notedRunKind } from './noted-runs/kind';
import { orderKind } from './orders/kind';
import { placementKind } from './placements/kind';
import { planItemKind } from './plan-items/kind';
import { planKind } from './plans/kind';
import { priceSnapshotKind } from './price-snapshots/kind';
import { protocolKind } from './protocols/kind';
import { readingKind } from './readings/kind';
import { rehearsalKind } from './rehearsals/kind';
import { runKind } from './runs/kind';
import { serviceCheckKind } from './service-checks/kind';
import { storageTestKind } from './storage-tests/kind';
import { batteryWorkKind } from './battery-works/kind';
import { temporaryPartKind } from './temporary-parts/kind';
import { verdictChangeKind } from './verdict-changes/kind';

/** Every kind of record, parents before children. */
export const RECORD_KINDS: readonly RecordKind[] = [
	cellTypeKind,
	clauseKind,
	calibrationKind,
	protocolKind,
	instrumentKind,
	bankKind,
	batteryKind,
	groupKind,
	deliveryKind,
	orderKind,
	cellKind,
	candidateKind,
	readingKind,
	moduleKind,
	inspectionKind,
	runKind,
	notedRunKind,
	storageTestKind,
	placementKind,
	balanceRunKind,
	balanceCellKind,
	balanceReadingKind,
	methodRunKind,
	methodEntryKind,
	leadReadingKind,
	jointTorqueKind,
	temporaryPartKind,
	batteryWorkKind,
	loadReadingKind,
	bmsComparisonKind,
	chargeCountKind,
	planKind,
	planItemKind,
	priceSnapshotKind,
	limitPlanKind,
	serviceCheckKind,
	capacityTestKind,
	noteKind,
	liveRunKind,
	liveEventKind,
	rehearsalKind,
	attachmentKind,
	acknowledgementKind,
	verdictChangeKind
];

const byName = new Map(RECORD_KINDS.map((kind) => [kind.name, kind]));

/** Kinds under the general addresses of the API. */
export const OPEN_KINDS = RECORD_KINDS.filter((k) => !k.hidden);

/** @throws ServiceError 404 for a name that is not a kind of record */
export function recordKind(name: string): RecordKind {
	const found = byName.get(name);
	if (!found)
		throw new ServiceError(
			404,
			'not-found',
			`There are no "${name.slice(0, 60)}" here. The kinds are: ${OPEN_KINDS.map((k) => k.name).join(', ')}.`
		);
	return found;
}

/** What attachments name by its hash: cleared after them. */
export const FILE_TABLES = ['attachment_chunks', 'attachment_files'] as const;

/** Tables that hold no records of their own kind: what hangs on them, and what is worked out from them. */
export const OTHER_TABLES = [
	'live_minutes',
	'live_samples',
	'run_samples',
	'client_keys',
	'judgement_causes',
	'judged_checks',
	'bank_judgements',
	'settings'
] as const;
