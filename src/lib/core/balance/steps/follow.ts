import { followBalancer } from './balancer';
import { followBottom } from './bottom';
import { followFast } from './fast';
import type { FollowMethod, MethodState, NextStep } from './method';
import type { MethodEntry, MethodKind, MethodRun, MethodWorld } from '../../picture';
import { followReadyMade } from './ready-made';

/** A method is one line here, and its file. */
const METHODS: Record<MethodKind, FollowMethod> = {
	fast: followFast,
	bottom: followBottom,
	balancer: followBalancer,
	'ready-made': followReadyMade
};

/** Whose steps follow one from the other: none is written down before the one it follows. */
const IN_ORDER: readonly MethodKind[] = ['fast', 'bottom'];

/** Where a balance by a method stands: verdicts, what may be done next, when somebody is wanted. @throws CoreError for figures that make no sense */
export const followMethod = (run: MethodRun, world: MethodWorld): MethodState => METHODS[run.method](run, world);

const FIELD_NAMES: Record<string, string> = {
	voltageV: 'volts',
	currentA: 'amperes',
	ah: 'Ah',
	wh: 'Wh',
	volts: 'a list of volts',
	words: 'a few words',
	asked: 'a yes to the question'
};
const minutesText = (ms: number) =>
	ms >= 5_400_000 ? `${Math.ceil(ms / 3_600_000)} h` : `${Math.ceil(ms / 60_000)} min`;

/**
 * Why a step may not be written down: it was done already, it is not its turn, its rest is not over, or something is missing. Null: it may.
 * @param field which field of the entry it is about
 */
export function refuseEntry(
	run: MethodRun,
	world: MethodWorld,
	entry: Omit<MethodEntry, 'id' | 'version'>
): { field: string; message: string } | null {
	if (run.endedAt) return { field: 'methodRunId', message: 'This balance has been ended: go on with it first.' };
	const { next } = followMethod(run, world);
	const mine = next.filter((n) => n.step === entry.step);
	const at = mine.find((n) => (n.cell?.id ?? null) === entry.cellId && n.unit === entry.unit);
	if (!at) return { field: 'step', message: notNow(run, next, entry) };
	if (at.from && Date.parse(entry.doneAt) < Date.parse(at.from))
		return {
			field: 'doneAt',
			message: `It has not rested long enough: ${minutesText(Date.parse(at.from) - Date.parse(entry.doneAt))} more, or the reading says too little.`
		};
	const last = run.entries.at(-1);
	if (
		last &&
		IN_ORDER.includes(run.method) &&
		Date.parse(entry.doneAt) < Date.parse(last.doneAt) - 60_000 &&
		last.cellId === entry.cellId &&
		last.unit === entry.unit
	)
		return { field: 'doneAt', message: 'The step before it was done later than that.' };
	if (at.count !== null && entry.volts !== null && entry.volts.length !== at.count)
		return {
			field: 'volts',
			message: `This takes ${at.count} volts, in order; ${entry.volts.length} ${entry.volts.length === 1 ? 'is' : 'are'} written.`
		};
	const tooMuch =
		at.mostV === null ? undefined : [entry.voltageV ?? 0, ...(entry.volts ?? [])].find((v) => Math.abs(v) > at.mostV!);
	if (tooMuch !== undefined)
		return {
			field: entry.volts?.includes(tooMuch) ? 'volts' : 'voltageV',
			message: `${tooMuch} V cannot be read there (at most ${at.mostV!.toFixed(1)} V): is the decimal point right?`
		};
	const missing = at.needs.find((f) => (f === 'asked' ? entry.asked !== true : entry[f] === null));
	return missing ? { field: missing, message: `This step needs ${FIELD_NAMES[missing]}.` } : null;
}

function notNow(run: MethodRun, next: readonly NextStep[], entry: Omit<MethodEntry, 'id' | 'version'>): string {
	const label = run.cells.find((c) => c.id === entry.cellId)?.label ?? entry.unit;
	const own = next.find((n) => (n.cell?.id ?? null) === entry.cellId && n.unit === entry.unit && n.cell !== null);
	const before = run.entries.some((e) => e.cellId === entry.cellId && e.unit === entry.unit && e.step === entry.step);
	if (before && label)
		return `${label} has had that step already: it is not done twice. ${own ? `Next: ${own.does}` : ''}`.trim();
	const first = next[0];
	return `That is not its turn${label ? ` for ${label}` : ''}.${own ? ` Next for it: ${own.does}` : first ? ` First: ${first.does}` : ''}`;
}
