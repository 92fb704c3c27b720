import type { Chemistry } from '$lib/core/foundation/chemistry';
import type { LiveKind, LivePhase, LiveState } from '$lib/core/foundation/live-run';
import { createRepository, type Recorded } from '../../db/repository';

/** Which instrument does what, with the calibration it had when the run began. */
export type LiveRole = 'supply' | 'load' | 'voltmeter' | 'bms' | 'shunt';
export interface LiveInstrument {
	role: LiveRole;
	id: number;
	name: string;
	voltageOffsetV: number;
	currentGainPercent: number;
}
export const LIVE_RUN_STATES = ['planned', 'running', 'waiting', 'ended'] as const;
export type LiveRunState = (typeof LIVE_RUN_STATES)[number];
export type LiveRun = Recorded & {
	bankId: number;
	cellId: number | null;
	balanceRunId: number | null;
	runId: number | null;
	kind: LiveKind;
	state: LiveRunState;
	instruments: LiveInstrument[];
	phases: LivePhase[];
	intervalMs: number;
	deadManS: number;
	expectedAh: number | null;
	/** Of the bank when it was planned; null: planned before this was written down. */
	chemistry: Chemistry | null;
	temperatureC: number | null;
	/** Run at this temperature on purpose; null: at that of the room. */
	heldAtC: number | null;
	startedAt: string | null;
	endedAt: string | null;
	endedBy: string | null;
	progress: LiveState;
};
export const liveRuns = createRepository<LiveRun>('live_runs', 'live run', 'id', {
	json: ['instruments', 'phases', 'progress']
});
