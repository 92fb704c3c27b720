import type { Duration, LivePhase } from '$lib/core/live-run';
import type { Verdict } from '$lib/core/shared';

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

const HOT = ['dead-man', 'output-lost', 'over-voltage', 'output', 'restart'];

/** What a live run asks of a person, and what should be known of it, as verdicts. */
export function liveVerdicts(view: ShownLive): Verdict[] {
	const asked = view.events.filter((e) => e.needsPerson && !e.seenAt);
	const gapS = view.sums.reduce((sum, s) => sum + s.gapS, 0);
	const gapAh = view.sums.reduce((sum, s) => sum + Math.abs(s.gapAh), 0);
	const verdicts = asked.map((e): Verdict => ({
		code: `live-${e.kind}`,
		warmth: HOT.includes(e.kind) ? 'stop' : 'look',
		title: HOT.includes(e.kind)
			? 'The run waits for you'
			: e.kind === 'done'
				? 'It is done'
				: 'You will be needed soon',
		finding: e.message,
		doubt: null,
		rule: 'Told before and when a run needs a person.',
		next: HOT.includes(e.kind) ? 'Look at the instrument and its clips before you switch on again.' : null,
		cellIds: []
	}));
	if (gapS > 0)
		verdicts.push({
			code: 'live-gap',
			warmth: 'open',
			title: `${Math.round(gapS / 60)} min without samples`,
			finding: `About ${gapAh.toFixed(2)} Ah were moved meanwhile if the current stayed as it was; they are not counted.`,
			doubt: 'The result’s doubt is widened by them.',
			rule: 'A stretch ten times longer than usual, or across a restart, is a gap.',
			next: gapAh > 0.5 ? 'If the capacity matters, run it again.' : null,
			cellIds: []
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
			next: null,
			cellIds: []
		});
	return verdicts;
}
