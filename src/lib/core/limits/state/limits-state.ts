import { CHEMISTRY_FIGURES } from '../../foundation/chemistry';
import { checkChain, computeLimits, type LimitValue, type LimitsInput } from '../values';
import { CoreError } from '../../foundation/errors';
import { type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { matchState, type PlacedGroup } from '../../match/state';
import { batterySubject, type BankPicture, type PictureBattery, type PictureCellType } from '../../picture';
import { shareOf } from './wiring';

export interface BatteryLimits {
	battery: PictureBattery;
	/** Empty while the cell type leaves no window. */
	values: LimitValue[];
	verdict: Verdict;
	measuredGroupAh: number | null;
}

export interface LimitsState {
	plan: BankPicture['limitPlan'];
	/** One a battery built here; empty while the cell type is missing. */
	batteries: BatteryLimits[];
}

/** Smallest group of a battery, Ah; null while one of its groups is not whole or not measured. */
function smallestOf(battery: PictureBattery, groups: readonly PlacedGroup[]): number | null {
	const own = groups.filter((g) => g.battery === battery.number && g.cellIds.length === battery.parallel);
	const known = own.flatMap((g) => g.capacityAh ?? []);
	return known.length < battery.series ? null : Math.min(...known);
}

/** What the planned loads draw of one battery; null: nothing is planned. */
function loadOf(picture: BankPicture, battery: PictureBattery): LimitsInput['load'] {
	const { plannedDraw = null, bank } = picture;
	if (plannedDraw === null) return null;
	const ampsOf = (watts: number) =>
		(watts * shareOf(picture, battery)) / (battery.series * CHEMISTRY_FIGURES[bank.chemistry].nominalV);
	const { peakW, surgeW = peakW } = plannedDraw;
	return { continuousA: ampsOf(peakW), inrushA: ampsOf(Math.max(peakW, surgeW)) };
}

function limitsOf(
	picture: BankPicture,
	battery: PictureBattery,
	cell: PictureCellType,
	measuredGroupAh: number | null
): BatteryLimits {
	const subject = batterySubject(picture, battery);
	const input: LimitsInput = {
		chemistry: picture.bank.chemistry,
		series: battery.series,
		parallel: battery.parallel,
		strategy: picture.limitPlan?.strategy ?? 'middle-road',
		cell,
		measuredGroupAh,
		bms: { continuousA: battery.bmsA, resolutionV: battery.bmsResolutionV },
		fuseA: battery.fuseA,
		cableA: battery.cableA,
		load: loadOf(picture, battery)
	};
	try {
		const values = computeLimits(input);
		return { battery, values, verdict: checkChain(values, battery.series, subject), measuredGroupAh };
	} catch (error) {
		if (!(error instanceof CoreError)) throw error;
		const verdict = say('limits-no-room', 'look', subject, { cause: error.code, reason: error.message });
		return { battery, values: [], verdict, measuredGroupAh };
	}
}

/** What was measured last of a battery: itself as a whole, where that was after its cells; Ah of its smallest group. */
function newestOf(
	{ batteryTests, cells }: BankPicture,
	battery: PictureBattery,
	smallestAh: number | null
): number | null {
	const test = batteryTests.find((t) => t.battery === battery.number);
	if (!test) return smallestAh;
	const own = new Set(battery.groups.flatMap((g) => g.cellIds));
	const ranAt = cells.filter((c) => own.has(c.id)).flatMap((c) => c.runs.map((r) => Date.parse(r.testedAt)));
	return ranAt.every((at) => at < Date.parse(test.testedAt))
		? Math.min(test.capacityAh, smallestAh ?? Infinity)
		: smallestAh;
}

/** The values for every battery built here under the bank's strategy (middle road until one is chosen), the chain checked. */
export function limitsState(picture: BankPicture): LimitsState {
	const { groups } = matchState(picture);
	const { cellType, batteries, limitPlan: plan } = picture;
	if (!cellType) return { plan, batteries: [] };
	const built = batteries.filter((b) => b.kind === 'built');
	return {
		plan,
		batteries: built.map((b) => limitsOf(picture, b, cellType, newestOf(picture, b, smallestOf(b, groups))))
	};
}
