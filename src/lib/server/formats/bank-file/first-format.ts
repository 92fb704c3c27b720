import { InputError } from '$lib/input/validate';
import { FORMAT_NAME, FORMAT_VERSION, type FileLine, type Plain } from './line';

/** Lists of a file of the first format, and the kind of each, parents before children. */
const LISTS = {
	deliveries: 'deliveries',
	cells: 'cells',
	readings: 'readings',
	runs: 'runs',
	placements: 'placements',
	balanceRuns: 'balance-runs',
	balanceReadings: 'balance-readings',
	limitPlans: 'limit-plans',
	serviceChecks: 'service-checks',
	capacityTests: 'capacity-tests',
	notes: 'notes'
} as const;
const NAMES = Object.keys(LISTS) as (keyof typeof LISTS)[];
/** Records of one list, at most. */
const MAX = 500_000;

export type FirstFormat = Record<keyof typeof LISTS, Plain[]> & { bank: Plain; cellType: Plain | null };

const isObject = (value: unknown): value is Plain =>
	typeof value === 'object' && value !== null && !Array.isArray(value);

/** A parsed file of the first format. @throws InputError naming what is missing */
export function checkFirstFormat(file: unknown): FirstFormat {
	const candidate = (isObject(file) ? file : {}) as Plain;
	if (candidate.format !== FORMAT_NAME)
		throw new InputError([
			{ path: 'format', message: `requires "${FORMAT_NAME}": this is not a bank exported from here` }
		]);
	if (candidate.formatVersion !== 1)
		throw new InputError([
			{
				path: 'formatVersion',
				message: `requires 1 in a file of one JSON object, or ${FORMAT_VERSION} in one of a line a record`
			}
		]);
	const faults = NAMES.flatMap((name) => {
		const list = candidate[name];
		if (!Array.isArray(list)) return [{ path: name, message: 'requires a list' }];
		if (list.length > MAX) return [{ path: name, message: `takes at most ${MAX} records` }];
		const odd = list.findIndex((row) => !isObject(row));
		return odd < 0 ? [] : [{ path: `${name}.${odd}`, message: 'requires a record' }];
	});
	if (!isObject(candidate.bank)) faults.push({ path: 'bank', message: 'requires a record' });
	if (candidate.cellType !== null && !isObject(candidate.cellType))
		faults.push({ path: 'cellType', message: 'requires a record or null' });
	if (faults.length) throw new InputError(faults);
	return candidate as unknown as FirstFormat;
}

/** Groups beyond what any bank has get no number of their own. */
const POSITIONS = 1000;
const groupId = (battery: number, position: number) => battery * POSITIONS + position;
const whole = (value: unknown, most: number) =>
	Number.isInteger(value) && (value as number) >= 1 && (value as number) <= most ? (value as number) : null;

/** Batteries and groups as the bank was planned: the first format had none of its own. */
function layoutLines({ id: bankId, series, parallel, batteries }: Plain): FileLine[] {
	const [s, p, n] = [whole(series, 128), whole(parallel, 64), whole(batteries ?? 1, 32)];
	// A bank without a layout is refused by its own rules.
	if (s === null || p === null || n === null) return [];
	return Array.from({ length: n }, (_, i) => i + 1).flatMap((number): FileLine[] => [
		{
			kind: 'batteries',
			record: { id: number, bankId, number, series: s, parallel: p, kind: 'built', joins: 'parallel' }
		},
		...Array.from({ length: s }, (_, g): FileLine => ({
			kind: 'groups',
			record: { id: groupId(number, g + 1), batteryId: number, position: g + 1 }
		}))
	]);
}

/** A cell that stands in several places at once stays in the last; a place the layout does not have is left out. */
function placementLines({ bank, placements }: FirstFormat): FileLine[] {
	const { series, batteries = 1 } = bank as { series: number; batteries?: number };
	const inLayout = placements.filter(({ battery, position }) => whole(battery, batteries) && whole(position, series));
	const lastOpen = new Map(inLayout.filter((p) => !p.removedAt).map((p) => [p.cellId, p]));
	return inLayout.map(({ bankId: _, battery, position, ...rest }, i) => {
		const stands = rest.removedAt || lastOpen.get(rest.cellId) === inLayout[i];
		return {
			kind: 'placements',
			record: {
				...rest,
				groupId: groupId(battery as number, position as number),
				removedAt: stands ? (rest.removedAt ?? null) : (lastOpen.get(rest.cellId)!.placedAt ?? null)
			}
		};
	});
}

const plainLines = (file: FirstFormat, name: keyof typeof LISTS): FileLine[] =>
	file[name].map((record) => ({ kind: LISTS[name], record }));

function runLines({ runs }: FirstFormat): FileLine[] {
	return runs.flatMap(({ samples, ...record }, i): FileLine[] => {
		const { timeS, voltageV, currentA } = (samples ?? {}) as Record<string, number[]>;
		const lists = [timeS, voltageV, currentA];
		if (!lists.every((l) => Array.isArray(l) && l.length === timeS!.length && l.every(Number.isFinite)))
			throw new InputError([
				{ path: `runs.${i}.samples`, message: 'requires timeS, voltageV and currentA of one length' }
			]);
		const own: FileLine = { kind: 'runs', record };
		return timeS!.length
			? [
					own,
					{ kind: 'run-samples', runId: record.id as number, timeS: timeS!, voltageV: voltageV!, currentA: currentA! }
				]
			: [own];
	});
}

/** A file of the first format as lines of the present one. */
export function* linesOfFirstFormat(file: FirstFormat): Generator<FileLine> {
	const { bank, cellType } = file;
	yield { format: FORMAT_NAME, formatVersion: FORMAT_VERSION, exportedAt: new Date(0).toISOString() };
	const rehearsal = bank.rehearsal === true;
	if (cellType) yield { kind: 'cell-types', record: { ...cellType, rehearsal } };
	yield { kind: 'banks', record: { ...bank, cellTypeId: cellType ? cellType.id : null } };
	yield* layoutLines(bank);
	for (const record of file.deliveries) yield { kind: 'deliveries', record: { ...record, rehearsal } };
	yield* plainLines(file, 'cells');
	for (const { id } of file.cells) yield { kind: 'candidates', record: { id, bankId: bank.id, cellId: id } };
	yield* plainLines(file, 'readings');
	yield* runLines(file);
	yield* placementLines(file);
	for (const name of [
		'balanceRuns',
		'balanceReadings',
		'limitPlans',
		'serviceChecks',
		'capacityTests',
		'notes'
	] as const)
		yield* plainLines(file, name);
}
