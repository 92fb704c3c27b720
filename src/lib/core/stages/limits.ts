import { CHEMISTRY_FIGURES } from '../foundation/chemistry';
import {
	STANDBY_DAYS,
	checkChain,
	computeLimits,
	standbyDays,
	type LimitValue,
	type LimitsInput
} from '../limits/values';
import { CoreError } from '../foundation/shared';
import { measured, say, type Verdict } from '../foundation/verdicts';
import { matchState, type PlacedGroup } from './match';
import type { BankPicture, PictureBattery, PictureCellType } from './picture';
import { bankSubject, batterySubject, placedCells } from './picture-parts';
import type { StageJudgement } from './stage-judgement';
import { bmsCells, shareOf, wiringVerdicts } from './wiring';

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

/** A test must have found less by so many of its own sd before it is news. */
const LESS_BY_SDS = 2;

/** What was measured since of a battery whose limits reckon with more. */
function capacitySince(picture: BankPicture, own: BatteryLimits): Verdict[] {
	const test = picture.batteryTests.find((t) => t.battery === own.battery.number);
	const usedAh = own.values.find((v) => v.key === 'capacityAh')?.value ?? null;
	if (!test || usedAh === null || test.capacityAh + LESS_BY_SDS * test.sdAh >= usedAh) return [];
	const facts = { usedAh, testedAh: measured(test.capacityAh, test.sdAh), testedOn: test.testedAt };
	return [say('capacity-since', 'open', batterySubject(picture, own.battery), facts)];
}

/** How long the cells of a battery last after the load's cut-off; nothing while nobody has said what still flows. */
function standby(picture: BankPicture, { battery, values, measuredGroupAh }: BatteryLimits): Verdict[] {
	const cutoffV = values.find((v) => v.key === 'loadCutoffV')?.value;
	const { standbyA } = battery;
	if (standbyA === null || cutoffV === undefined) return [];
	const capacityAh = measuredGroupAh ?? picture.cellType!.ratedAh * battery.parallel;
	const { chemistry } = picture.bank;
	const { days, chargeLeftAh } = standbyDays({ chemistry, capacityAh, cutoffV: cutoffV / battery.series, standbyA });
	const { visited, unvisited } = STANDBY_DAYS;
	const facts = { days, chargeLeftAh, standbyA, visitedDays: visited, unvisitedDays: unvisited };
	const subject = batterySubject(picture, battery);
	return [days < visited ? say('standby-short', 'look', subject, facts) : say('standby-lasts', 'calm', subject, facts)];
}

/** The verdicts on the limits of a bank. */
export function judgeLimitsStage(picture: BankPicture): StageJudgement {
	const state = limitsState(picture);
	const { plan } = state;
	const subject = bankSubject(picture);
	// Values that break the chain, or that cannot be, are chosen and not done.
	// Of a ready-made battery only what somebody said of its fuse and cable can be compared.
	const wiring = picture.batteries.flatMap((b) => {
		const known = b.kind === 'built' ? plan !== null || b.fuseA !== null : b.fuseA !== null && b.cableA !== null;
		return known ? wiringVerdicts(picture, b) : bmsCells(b, batterySubject(picture, b));
	});
	const since = state.batteries.flatMap((b) => capacitySince(picture, b));
	const judged = [...wiring, ...state.batteries.map((b) => b.verdict)];
	const own = [...judged, ...since, ...state.batteries.flatMap((b) => standby(picture, b))];
	const isCalm = (v: Verdict) => v.warmth === 'calm';
	// What nobody wrote down is not in order; a capacity that has since become less undoes nothing.
	const done = plan !== null && judged.every(isCalm);
	// Ready-made batteries bring their own limits.
	if (picture.batteries.every((b) => b.kind !== 'built')) return { verdicts: wiring, done: wiring.every(isCalm) };
	if (!picture.cellType)
		return {
			verdicts: [...wiring, say('no-cell-type', plan ? 'look' : 'open', subject, { wantedFor: 'limits' })],
			done: false
		};
	const groups = picture.batteries.flatMap((b) => b.groups).filter((g) => g.cellIds.length > 0).length;
	const waiting = !plan && placedCells(picture).length > 0;
	return {
		verdicts: [...(waiting ? [say('limits-waiting', 'open', subject, { groups })] : []), ...own],
		done
	};
}
