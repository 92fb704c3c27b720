import { CHEMISTRY_FIGURES } from '$lib/core/foundation/chemistry';
import { checkLivePlan, startLive, type LiveLimits, type LivePhase } from '$lib/core/foundation/live-run';
import type { LiveRunInput } from '$lib/input/live';
import { InputError } from '$lib/input/validate';
import {
	balanceCells,
	balanceRuns,
	banks,
	cellTypes,
	cells,
	instruments,
	liveRuns,
	type Bank,
	type CellType,
	type Instrument,
	type LiveInstrument,
	type LiveRole,
	type LiveRun
} from '../records';
import { ServiceError } from '../errors';
import { currentPlacements } from '../bank-picture/placements';
import { rehearsalClock } from '../rehearsals/bench/bench';

const DEFAULT_DEAD_MAN_S = 20;
/** Samples wanted about this often by the instruments' own clock, and by ours at most so often, ms. */
const WANTED_EVERY_MS = 10_000;
const INTERVAL_MS = { least: 20, usual: 1000 };

/** The phases with every value they need. @throws InputError by path */
function completePhases(given: LiveRunInput['phases']): LivePhase[] {
	return given.map((phase, k): LivePhase => {
		const need = (name: 'voltageV' | 'currentA' | 'tailA' | 'durationS' | 'cutoffV'): number => {
			const value = phase[name];
			if (value === undefined || value === null)
				throw new InputError([{ path: `phases.${k}.${name}`, message: `${name} is required for a ${phase.kind}` }]);
			return value;
		};
		if (phase.kind === 'charge')
			return {
				kind: 'charge',
				voltageV: need('voltageV'),
				currentA: need('currentA'),
				tailA: need('tailA'),
				holdS: phase.holdS ?? 0,
				...(phase.stopAh ? { stopAh: phase.stopAh } : {})
			};
		if (phase.kind === 'rest') return { kind: 'rest', durationS: need('durationS') };
		if (phase.kind === 'discharge') return { kind: 'discharge', currentA: need('currentA'), cutoffV: need('cutoffV') };
		return { kind: 'watch' };
	});
}

/** Roles each kind of run cannot do without, and which kind of instrument fits a role (they bear the same names). */
function neededRoles(phases: readonly LivePhase[]): LiveRole[] {
	const needed = phases.flatMap((p): LiveRole[] =>
		p.kind === 'charge' ? ['supply'] : p.kind === 'discharge' ? ['load'] : []
	);
	return [...new Set(needed)];
}

async function chosenInstruments(
	input: LiveRunInput,
	phases: readonly LivePhase[]
): Promise<{ roles: LiveInstrument[]; rows: Instrument[] }> {
	const roles: LiveInstrument[] = [];
	const rows: Instrument[] = [];
	for (const [role, id] of Object.entries(input.instruments) as [LiveRole, number | null | undefined][]) {
		if (!id) continue;
		const row = await instruments.get(id);
		if (row.kind !== role)
			throw new InputError([{ path: `instruments.${role}`, message: `${row.name} is a ${row.kind}, not a ${role}` }]);
		rows.push(row);
		roles.push({
			role,
			id,
			name: row.name,
			voltageOffsetV: row.voltageOffsetV,
			currentGainPercent: row.currentGainPercent
		});
	}
	const missing = neededRoles(phases).filter((role) => !roles.some((r) => r.role === role));
	if (missing.length)
		throw new InputError(missing.map((role) => ({ path: `instruments.${role}`, message: `a ${role} is required` })));
	if (roles.length === 0) throw new InputError([{ path: 'instruments', message: 'choose an instrument to follow' }]);
	return { roles, rows };
}

/** What the cells may be put to: their maker's limits, or those of their chemistry. Without a type the capacity, and so the current, is not known. */
function limitsOf(bank: Bank, type: CellType | null, inRow: number, temperatureC: number | null): LiveLimits {
	const figures = CHEMISTRY_FIGURES[bank.chemistry];
	const rowAh = (type?.ratedAh ?? Infinity) * inRow;
	return {
		chargeLimitV: type?.chargeLimitV ?? figures.chargeLimitV,
		dischargeLimitV: type?.dischargeLimitV ?? figures.dischargeLimitV,
		chargeMaxA: (type?.chargeCRate ?? figures.chargeCRate) * rowAh,
		dischargeMaxA: (type?.dischargeCRate ?? figures.dischargeCRate) * rowAh,
		chargeColdC: type?.chargeColdC ?? figures.chargeColdC,
		temperatureC
	};
}

/** How many cells share what flows: of a balance those of its row, else all that sit in the bank. @throws InputError */
async function cellsAtOnce({ kind, balanceRunId }: LiveRunInput, bank: Bank): Promise<number> {
	if (balanceRunId && (await balanceRuns.get(balanceRunId)).bankId !== bank.id)
		throw new InputError([{ path: 'balanceRunId', message: `balanceRunId is not a balance of ${bank.name}` }]);
	if (kind !== 'balance') return 1;
	const row = balanceRunId ? await balanceCells.all({ balanceRunId }) : [];
	return Math.max(1, row.length || (await currentPlacements(bank.id)).length);
}

/** Prepares a live run. Nothing is switched: {@link beginLiveRun} does that, when its values have been confirmed. */
export async function planLiveRun(input: LiveRunInput): Promise<LiveRun> {
	const bank = await banks.get(input.bankId);
	const cellType = bank.cellTypeId === null ? null : await cellTypes.get(bank.cellTypeId);
	const phases = completePhases(input.phases);
	checkKind(input, phases);
	const inRow = await cellsAtOnce(input, bank);
	checkLivePlan(phases, limitsOf(bank, cellType, inRow, input.temperatureC ?? null));
	const { roles, rows } = await chosenInstruments(input, phases);
	if (rows.some((r) => r.bundled) !== bank.rehearsal)
		throw new ServiceError(
			422,
			'mixed',
			bank.rehearsal
				? 'This is a rehearsal bank: its cells are only on the simulated bench.'
				: 'The simulated bench measures no real cell: use it in a rehearsal.'
		);
	if (input.cellId) await cells.get(input.cellId);
	const factor = bank.rehearsal ? (await rehearsalClock(bank.id)).timeFactor : 1;
	return liveRuns.insert({
		bankId: bank.id,
		cellId: input.cellId ?? null,
		balanceRunId: input.balanceRunId ?? null,
		kind: input.kind,
		state: 'planned',
		instruments: roles,
		phases,
		intervalMs:
			input.intervalMs ??
			Math.max(INTERVAL_MS.least, Math.min(INTERVAL_MS.usual, Math.round(WANTED_EVERY_MS / factor))),
		deadManS: input.deadManS ?? DEFAULT_DEAD_MAN_S,
		expectedAh: cellType ? cellType.ratedAh * inRow : null,
		chemistry: cellType ? bank.chemistry : null,
		temperatureC: input.temperatureC ?? null,
		heldAtC: input.kind === 'capacity' ? (input.heldAtC ?? null) : null,
		progress: startLive()
	});
}

function checkKind(input: LiveRunInput, phases: readonly LivePhase[]): void {
	const kinds = phases.map((p) => p.kind);
	const fault =
		input.kind === 'watch'
			? kinds.some((k) => k !== 'watch') && 'A watch has one phase, watch: it sets nothing.'
			: kinds.includes('watch')
				? 'Only a watch has the phase watch.'
				: input.kind === 'capacity'
					? (kinds.filter((k) => k === 'discharge').length !== 1 && 'A capacity run has one discharge.') ||
						(!input.cellId && 'A capacity run is of one cell: send cellId.')
					: kinds.some((k) => k !== 'charge') && 'A balance is one charge.';
	if (fault) throw new InputError([{ path: 'phases', message: fault }]);
}

/** What the clips of a run are on, in a word. */
export const placeOf = async (run: LiveRun): Promise<string> =>
	run.cellId ? (await cells.get(run.cellId)).label : run.kind === 'balance' ? 'the row of cells' : 'the battery';

/** As much of a figure as a person sets: three digits. */
const amount = (value: number): number => Number(value.toPrecision(3));

/** The values that will be set, in words: what a person must have seen before anything is switched on. */
export async function valuesToConfirm(run: LiveRun): Promise<string[]> {
	const name = (role: LiveRole) => run.instruments.find((i) => i.role === role)?.name ?? role;
	const place = await placeOf(run);
	const lines = run.phases.map((p) => {
		if (p.kind === 'charge')
			return `${name('supply')} on ${place}: ${p.voltageV.toFixed(2)} V, at most ${amount(p.currentA)} A, ${p.stopAh ? `for ${amount(p.stopAh)} Ah` : `until ${amount(p.tailA)} A`}${p.holdS ? ` for ${Math.round(p.holdS / 60)} min` : ''}`;
		if (p.kind === 'discharge')
			return `${name('load')} on ${place}: ${amount(p.currentA)} A, off at ${p.cutoffV.toFixed(2)} V`;
		if (p.kind === 'rest') return `Rest ${Math.round(p.durationS / 60)} min`;
		return `Watch only: ${run.instruments.map((i) => i.name).join(', ')}; nothing is set`;
	});
	const drives = run.phases.some((p) => p.kind === 'charge' || p.kind === 'discharge');
	return drives ? [...lines, `Output off when no sample comes for ${run.deadManS} s`] : lines;
}
