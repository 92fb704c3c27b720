import { remainingS, toEndS, type Duration } from '$lib/core/foundation/live-run';
import { banks, liveEvents, type LiveEventRow, type LiveRun } from '../records';

/** A live run as pages show it. */
export interface LiveView {
	id: number;
	bankId: number;
	bankName: string;
	version: number;
	kind: LiveRun['kind'];
	state: LiveRun['state'];
	phase: number;
	phases: LiveRun['phases'];
	sums: LiveRun['progress']['sums'];
	last: LiveRun['progress']['last'];
	/** What is left of this phase, and until the whole run needs a person, s by the instrument's clock; null when it cannot be told. */
	remainingS: Duration | null;
	toEndS: Duration | null;
	expectedAh: number | null;
	events: LiveEventRow[];
	endedBy: string | null;
	runId: number | null;
}

/** Events shown with a run, newest first. */
const MAX_EVENTS = 50;

export async function liveView(run: LiveRun): Promise<LiveView> {
	const events = (await liveEvents.all({ liveRunId: run.id })).reverse().slice(0, MAX_EVENTS);
	const left = run.state === 'running' ? remainingS(run, run.progress) : null;
	// A balance is one charge of a row whose charge nobody knows: its own log estimates its end, knee and taper included.
	const whole = run.kind === 'balance' ? left : toEndS(run, run.progress);
	return {
		id: run.id,
		bankId: run.bankId,
		bankName: (await banks.get(run.bankId)).name,
		version: run.version,
		kind: run.kind,
		state: run.state,
		phase: run.progress.phase,
		phases: run.phases,
		sums: run.progress.sums,
		last: run.progress.last,
		remainingS: left,
		toEndS: run.state === 'ended' || run.state === 'waiting' ? null : whole,
		expectedAh: run.expectedAh,
		events,
		endedBy: run.endedBy,
		runId: run.runId
	};
}
