import { boxArrangements, type BoxArrangement } from '../../build/box';
import { CHEMISTRY_FIGURES, type Chemistry } from '../../foundation/chemistry';
import { STRATEGY_FIGURES } from '../../limits/values';
import type { YearInput } from '../use-year';
import { USUAL_PLAN, type BankPlan } from './bank-plan';
import { buildCalendar, type BuildCalendar, type BuildStep } from '../calendar';
import {
	chargerFits,
	firstCharge,
	hardwareFor,
	shortfalls,
	type ChargerFit,
	type ChargingInput,
	type FirstCharge,
	type HardwarePlan,
	type Shortfall
} from '../charging';
import { builtMassKg, planLift, type LiftPlan } from '../layouts';
import { hourlyLoads, sumLoads, type LoadSummary } from '../loads';

/** The bank a plan is for, as far as it is decided. */
export interface PlannedLayout {
	chemistry: Chemistry;
	series: number;
	parallel: number;
	/** Those built of these cells. */
	batteries: number;
	/** Rows its groups lie in, as chosen at the drawing of the first battery; null or missing: nobody chose. */
	rows?: number | null;
	/** What ready-made batteries beside them add, Ah; missing: none. */
	besideAh?: number;
}

/** The cells, as far as their sheet was copied. */
export interface PlannedCell {
	ratedAh: number;
	massKg: number | null;
	widthMm: number | null;
	thicknessMm: number | null;
	heightMm: number | null;
	chargeCRate: number | null;
}

/** Everything that follows from a plan but the year of use. Null where something is missing for it. */
export interface PlanState {
	load: LoadSummary;
	nominalWh: number | null;
	/** Of the batteries that are built and bought here alone. */
	builtWh: number | null;
	usableWh: number | null;
	/** Days the loads of the month that takes most run without any source. */
	daysAlone: number | null;
	charging: ChargingInput | null;
	chargers: ChargerFit[];
	firstCharge: FirstCharge | null;
	hardware: HardwarePlan;
	missing: Shortfall[];
	arrangements: BoxArrangement[] | null;
	/** Of one battery: its cells and what is around them. */
	batteryKg: number | null;
	lift: LiftPlan | null;
	calendar: BuildCalendar | null;
}

/** When something of a build is looked at, ms since 1970. */
export interface PlanTime {
	/** Ordering begins now where no day is said. */
	nowMs: number;
	/** When the steps that have happened ended. */
	done?: Partial<Record<BuildStep, number>>;
	/** Waking hours a day, of the settings; and loads known as instruments. */
	wakingH?: number;
	knownTesters?: number;
}

export function planState(plan: BankPlan, layout: PlannedLayout, cell: PlannedCell | null, time: PlanTime): PlanState {
	const { chemistry, series, parallel, batteries } = layout;
	const figures = CHEMISTRY_FIGURES[chemistry];
	const load = sumLoads({
		loads: plan.loads,
		inverter: plan.inverter,
		standbyW: plan.standbyW ?? USUAL_PLAN.standbyW
	});
	const inBattery = series * parallel;
	const bankAh = cell ? cell.ratedAh * parallel * batteries + (layout.besideAh ?? 0) : null;
	const builtWh = cell ? cell.ratedAh * parallel * batteries * series * figures.nominalV : null;
	const nominalWh = bankAh === null ? null : bankAh * series * figures.nominalV;
	const usableWh = nominalWh === null ? null : nominalWh * (plan.window ?? USUAL_PLAN.window);
	const most = Math.max(...load.whPerDay);
	const hardware = hardwareFor({
		series,
		parallel,
		batteries,
		rows: plan.rows ?? layout.rows ?? 1,
		studsPerPole: plan.studsPerPole,
		balance: plan.balance
	});
	const charging: ChargingInput | null =
		bankAh === null
			? null
			: {
					chemistry,
					series,
					bankAh,
					chargers: plan.chargers,
					absorbV: STRATEGY_FIGURES[chemistry]['middle-road'].absorbV,
					coldestC: plan.coldestC ?? USUAL_PLAN.coldestC,
					hottestC: plan.hottestC ?? USUAL_PLAN.panelHotC
				};
	const inRow = plan.balance === 'together' ? inBattery * batteries : inBattery;
	const first =
		cell && plan.supplies.length
			? firstCharge({
					chemistry,
					cells: inRow,
					ratedAh: cell.ratedAh,
					supplies: plan.supplies,
					hoursADay: plan.supplyHoursADay,
					seriesA: plan.seriesChargeA,
					series,
					barsForCells: plan.barsForCells
				})
			: null;
	const batteryKg = cell?.massKg ? builtMassKg(inBattery * cell.massKg) : null;
	const footprintM2 =
		cell?.widthMm && cell.thicknessMm ? (inBattery * cell.widthMm * cell.thicknessMm) / 1_000_000 : null;
	return {
		load,
		nominalWh,
		builtWh,
		usableWh,
		daysAlone: usableWh !== null && most > 0 ? usableWh / most : null,
		charging,
		chargers: charging ? chargerFits(charging) : [],
		firstCharge: first,
		hardware,
		missing: shortfalls(hardware, plan.kit),
		arrangements: arrangementsOf(plan, cell, inBattery),
		batteryKg,
		lift:
			batteryKg === null
				? null
				: planLift({
						massKg: batteryKg,
						footprintM2,
						people: plan.people ?? USUAL_PLAN.people,
						spanMm: plan.box?.lengthMm ?? null
					}),
		calendar: cell ? calendarOf(plan, inBattery * batteries, cell, first, time) : null
	};
}

function arrangementsOf({ box }: BankPlan, cell: PlannedCell | null, cells: number): BoxArrangement[] | null {
	if (!box || !cell?.widthMm || !cell.thicknessMm || !cell.heightMm) return null;
	const { lengthMm, widthMm, heightMm, bms, fuse = null } = box;
	const given = Object.fromEntries(
		(['insulationMm', 'endPlateMm', 'lidMm', 'cableMm'] as const).flatMap((key) =>
			box[key] === null ? [] : [[key, box[key]]]
		)
	);
	return boxArrangements({
		box: { lengthMm, widthMm, heightMm },
		cells,
		bms,
		fuse,
		...given,
		cell: { widthMm: cell.widthMm, thicknessMm: cell.thicknessMm, heightMm: cell.heightMm }
	});
}

function calendarOf(
	plan: BankPlan,
	cells: number,
	{ ratedAh }: PlannedCell,
	first: FirstCharge | null,
	{ nowMs, done, wakingH, knownTesters }: PlanTime
): BuildCalendar {
	return buildCalendar({
		cells,
		ratedAh,
		startMs: plan.orderOn ? Date.parse(plan.orderOn) : nowMs,
		cellLeadDays: plan.cellLeadDays ?? USUAL_PLAN.cellLeadDays,
		partLeadDays: plan.partLeadDays ?? USUAL_PLAN.partLeadDays,
		testers: plan.testers ?? (knownTesters || USUAL_PLAN.testers),
		testA: plan.testDeliversA ?? plan.testA ?? USUAL_PLAN.testA,
		hoursADay: plan.hoursADay ?? USUAL_PLAN.hoursADay,
		balanceDays: first?.days ?? 0,
		wakingH,
		done
	});
}

/** The year of use a plan asks for; null while the place or the cells are not known. */
export function plannedYear(plan: BankPlan, { chemistry }: PlannedLayout, state: PlanState): YearInput | null {
	if (plan.latitudeDeg === null || state.usableWh === null || state.nominalWh === null) return null;
	return {
		latitudeDeg: plan.latitudeDeg,
		fields: plan.fields,
		sunHours: plan.sunHours,
		airC: plan.airC,
		loads: hourlyLoads(plan.loads),
		inverter: plan.inverter,
		standbyW: plan.standbyW ?? USUAL_PLAN.standbyW,
		sources: plan.sources,
		battery: {
			chemistry,
			usableWh: state.usableWh,
			// What the cells take for hours.
			maxChargeW: CHEMISTRY_FIGURES[chemistry].chargeCRate * state.nominalWh,
			cellC: plan.boxWarmC === null ? null : Array<number>(12).fill(plan.boxWarmC)
		},
		generator: plan.generator
	};
}
