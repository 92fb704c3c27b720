import type { Duration, LivePhase } from '$lib/core/live-run';
import type { ShownVerdict } from '$lib/core/verdicts';

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
	last: { atMs: number; voltageV: number | null; currentA: number; cellV: number | null } | null;
	remainingS: Duration | null;
	toEndS: Duration | null;
	expectedAh: number | null;
	events: ShownEvent[];
	endedBy: string | null;
	runId: number | null;
}

/** A phase in a few words, with its end. */
export function phaseWords(phase: LivePhase): string {
	switch (phase.kind) {
		case 'charge':
			return `Charge at ${phase.currentA} A to ${phase.voltageV.toFixed(2)} V, ${phase.stopAh ? `for ${phase.stopAh} Ah` : `until ${phase.tailA} A`}`;
		case 'rest':
			return `Rest ${Math.round(phase.durationS / 60)} min`;
		case 'discharge':
			return `Discharge at ${phase.currentA} A to ${phase.cutoffV.toFixed(2)} V`;
		default:
			return 'Watch until stopped';
	}
}

/** The run has stopped, or an output may be on that should not be. */
const HOT = ['dead-man', 'output-lost', 'over-voltage', 'output', 'restart'];

const TITLES: Record<string, string> = {
	done: 'It is done',
	bms: 'The BMS has cut off',
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

/** What a live run asks of a person, and what should be known of it, as verdicts. */
export function liveVerdicts(view: ShownLive): ShownVerdict[] {
	const gapS = view.sums.reduce((sum, s) => sum + s.gapS, 0);
	const gapAh = view.sums.reduce((sum, s) => sum + Math.abs(s.gapAh), 0);
	const verdicts = view.events
		.filter((e) => e.needsPerson && !e.seenAt)
		.map((e): ShownVerdict => ({ code: `live-${e.kind}`, ...asked(e.kind), finding: e.message, doubt: null }));
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
						: 'Ended',
			finding:
				view.endedBy ??
				(view.state === 'planned'
					? 'The values are shown once more before anything is set.'
					: 'Samples come and are stored as they come.'),
			doubt: null,
			rule: 'Every sample shown here is already stored.',
			next: null
		});
	return verdicts;
}
