import type { SizedBattery } from '$lib/core/plan/layouts';
import type { BenchClock } from '$lib/client/live/bank-clock';
import type { ShownInstrument } from '$lib/components/instruments/instrument-choice';
import type { AfterPause } from '$lib/core/balance/charge';
import type { MethodRun, PictureBank, PictureCellType } from '$lib/core/picture';
import type { MethodState } from '$lib/core/balance/steps';
import type { BalanceState } from '$lib/core/balance/state';
import type { Settings } from '$lib/core/foundation/units';
import type { StageVerdict } from '$lib/core/foundation/verdicts';

/** What the page of Balance is given. */
export interface BalanceData {
	overview: { bank: PictureBank; batteries: readonly SizedBattery[]; cellType: PictureCellType | null };
	balance: BalanceState;
	/** Cells that may stand in its row. */
	/** What the plan knows of the supplies and bars; null: it does not say. */
	planned: { hoursADay: number | null; stringSupplyA: number | null; barsForCells: number | null };
	mayStand: {
		id: number;
		label: string;
		placed: boolean;
		inRow: boolean;
		stopped: boolean;
		capacityAh: number | null;
	}[];
	instruments: ShownInstrument[];
	roomC: number | null;
	/** Of a rehearsal’s bench; null for a real bank, or while it is off the bench. */
	clock: BenchClock | null;
	/** The latest balance that goes step by step. */
	steps: { run: MethodRun; state: MethodState; groupAh: number } | null;
	/** Those that were ended, the latest first. */
	endedSteps: { run: MethodRun }[];
	/** What has changed since anybody was last at it; null: nothing was left lying. */
	pause: AfterPause | null;
	settings: Settings;
	verdicts: StageVerdict[];
}
