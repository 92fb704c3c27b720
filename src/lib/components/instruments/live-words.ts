import type { Duration, LivePhase } from '$lib/core/foundation/live-run';
import type { ShownVerdict } from '$lib/core/foundation/verdicts';

export interface ShownEvent {
	id: number;
	kind: string;
	message: string;
	happenedAt: string;
	needsPerson: boolean;
	seenAt: string | null;
}

export interface ShownLive {
	id: number;
	bankId: number;
	bankName: string;
	version: number;
	kind: 'capacity' | 'balance' | 'watch';
	state: 'planned' | 'running' | 'waiting' | 'ended';
	phase: number;
	phases: LivePhase[];
	sums: { startedMs: number; endedMs: number | null; ah: number; wh: number; gapS: number; gapAh: number }[];
	last: {
		atMs: number;
		voltageV: number | null;
		currentA: number;
		cellV: number | null;
		displayA?: number;
		alsoRead?: { name: string; currentA: number }[];
	} | null;
	remainingS: Duration | null;
	toEndS: Duration | null;
	expectedAh: number | null;
	events: ShownEvent[];
	endedBy: string | null;
	runId: number | null;
}

/** As much of a figure as a person sets: three digits. */
const amount = (value: number): number => Number(value.toPrecision(3));

/** A phase in a few words, with its end. */
export function phaseWords(phase: LivePhase): string {
	switch (phase.kind) {
		case 'charge':
			return `Charge at ${amount(phase.currentA)} A to ${phase.voltageV.toFixed(2)} V, ${phase.stopAh ? `for ${amount(phase.stopAh)} Ah` : `until ${amount(phase.tailA)} A`}`;
		case 'rest':
			return `Rest ${Math.round(phase.durationS / 60)} min`;
		case 'discharge':
			return `Discharge at ${amount(phase.currentA)} A to ${phase.cutoffV.toFixed(2)} V`;
		default:
			return 'Watch until stopped';
	}
}

/** The run has stopped, or an output may be on that should not be. */
const HOT = ['dead-man', 'output-lost', 'over-voltage', 'not-as-set', 'output', 'restart'];

const TITLES: Record<string, string> = {
	done: 'It is done',
	bms: 'The BMS has cut off',
	'currents-apart': 'The instruments disagree about the current',
	'probes-off': 'The probes have slipped',
	'no-result': 'Its result could not be entered'
};

/** What an event that needs a person is called, and what is to be done. */
function asked(kind: string): Pick<ShownVerdict, 'warmth' | 'title' | 'rule' | 'next'> {
	const rule = 'Told before and when a run needs a person.';
	if (HOT.includes(kind))
		return {
			warmth: 'stop',
			title: 'The run waits for you',
			rule,
			next: 'Look at the instrument and its clips before you switch on again.'
		};
	if (kind === 'not-full')
		return {
			warmth: 'look',
			title: 'This cell is not full',
			rule: 'Only a discharge from full measures a capacity; from this one none will be entered.',
			next: 'Stop it now and save the hours; then run it again with the charge first.'
		};
	return { warmth: 'look', title: TITLES[kind] ?? 'You will be needed soon', rule, next: null };
}

/** The instrument has not been heard since the last sample: what is shown is what it read then. */
export const isSilent = (view: ShownLive): boolean =>
	view.state === 'running' &&
	view.events.some((e) => e.kind === 'silent' && Date.parse(e.happenedAt) >= (view.last?.atMs ?? 0));

/** Whether the figures of the last sample still hold: the run goes, its instrument answers, and the page hears of it. */
export const isCurrent = (view: ShownLive, lineOpen: boolean): boolean =>
	view.state === 'running' && lineOpen && !isSilent(view);

/** How a phase stands: only one that ran to its end is done. */
export function phaseState(view: ShownLive, index: number): 'done' | 'running' | 'paused' | 'stopped' | 'ahead' {
	const sums = view.sums[index];
	if (sums && sums.endedMs !== null) return 'done';
	if (view.state === 'ended') return sums ? 'stopped' : 'ahead';
	if (index !== view.phase) return 'ahead';
	return view.state === 'running' ? 'running' : sums ? 'paused' : 'ahead';
}

function unheard(view: ShownLive, lineOpen: boolean): ShownVerdict[] {
	const rule = 'An instrument that does not answer for two seconds is silent.';
	if (view.state !== 'running') return [];
	if (isSilent(view))
		return [
			{
				code: 'live-silent',
				warmth: 'look',
				title: 'The instrument does not answer',
				finding: `The figures are those of the last sample. ${view.events.find((e) => e.kind === 'silent')!.message}`,
				doubt: null,
				rule,
				next: 'Check its cable and power. Its output will be switched off if no sample comes; if you stand beside it, look at the cells.'
			}
		];
	return lineOpen
		? []
		: [
				{
					code: 'live-no-line',
					warmth: 'look',
					title: 'This page does not hear from the server',
					finding: 'The figures are those of the last message. The run goes on at the server, or has stopped with it.',
					doubt: null,
					rule: 'The page tries again by itself.',
					next: 'If the server is off, switch the output off at the instrument.'
				}
			];
}

/** What a live run asks of a person, and what should be known of it, as verdicts. @param lineOpen the page hears from the server */
export function liveVerdicts(view: ShownLive, lineOpen = true): ShownVerdict[] {
	const gapS = view.sums.reduce((sum, s) => sum + s.gapS, 0);
	const gapAh = view.sums.reduce((sum, s) => sum + Math.abs(s.gapAh), 0);
	const verdicts = view.events
		.filter((e) => e.needsPerson && !e.seenAt)
		.map((e): ShownVerdict => ({ code: `live-${e.kind}`, ...asked(e.kind), finding: e.message, doubt: null }));
	verdicts.push(...unheard(view, lineOpen));
	if (gapS > 0)
		verdicts.push({
			code: 'live-gap',
			warmth: 'open',
			title: `${Math.round(gapS / 60)} min without samples`,
			finding: `About ${gapAh.toFixed(2)} Ah were moved meanwhile if the current stayed as it was; they are not counted.`,
			doubt: 'The result’s doubt is widened by them.',
			rule: 'A stretch ten times longer than usual, or across a restart, is a gap.',
			next: gapAh > 0.5 ? 'If the capacity matters, run it again.' : null
		});
	if (verdicts.length === 0)
		verdicts.push({
			code: 'live-calm',
			warmth: 'calm',
			title:
				view.state === 'running'
					? 'It runs; nothing needs you'
					: view.state === 'planned'
						? 'Nothing is switched on yet'
						: view.state === 'waiting'
							? 'The output is off until you let it go on'
							: 'Ended',
			finding:
				view.endedBy ??
				(view.state === 'planned'
					? 'The values are shown once more before anything is set.'
					: view.state === 'waiting'
						? 'What it has counted is saved.'
						: 'Samples come and are stored as they come.'),
			doubt: null,
			rule: 'Every sample shown here is already stored.',
			next: null
		});
	return verdicts;
}
