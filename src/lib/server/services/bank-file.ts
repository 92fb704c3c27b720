import { InputError } from '$lib/input/validate';
import type { RunSamples } from '../db/run-samples';

/** Version of the file; raised when its shape changes. */
export const EXPORT_VERSION = 1;

/** A record as it stands in a file. */
export type Plain = Record<string, unknown>;

/** Everything of one bank. Ids are only references within the file. */
export interface BankFile {
	format: 'kind-ember-bank';
	formatVersion: number;
	exportedAt: string;
	bank: Plain;
	cellType: Plain | null;
	deliveries: Plain[];
	cells: Plain[];
	readings: Plain[];
	runs: (Plain & { samples: RunSamples })[];
	placements: Plain[];
	balanceRuns: Plain[];
	balanceReadings: Plain[];
	limitPlans: Plain[];
	serviceChecks: Plain[];
	capacityTests: Plain[];
	notes: Plain[];
}

const LISTS = [
	'deliveries',
	'cells',
	'readings',
	'runs',
	'placements',
	'balanceRuns',
	'balanceReadings',
	'limitPlans',
	'serviceChecks',
	'capacityTests',
	'notes'
] as const;

/** A parsed file as one of a bank. @throws InputError naming what is missing */
export function checkShape(file: unknown): BankFile {
	const candidate = file as BankFile;
	if (typeof file !== 'object' || file === null || candidate.format !== 'kind-ember-bank')
		throw new InputError([
			{ path: 'format', message: 'requires "kind-ember-bank": this is not a bank exported from here' }
		]);
	if (candidate.formatVersion !== EXPORT_VERSION)
		throw new InputError([
			{ path: 'formatVersion', message: `requires ${EXPORT_VERSION}, got ${String(candidate.formatVersion)}` }
		]);
	const faults = LISTS.filter((list) => !Array.isArray(candidate[list])).map((list) => ({
		path: list,
		message: 'requires a list'
	}));
	if (faults.length) throw new InputError(faults);
	return candidate;
}
