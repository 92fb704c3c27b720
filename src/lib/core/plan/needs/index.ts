export { bankLayout, layoutText, type BankLayout, type SizedBattery } from './bank-layout';
export { TOUCH_LIMIT_V, judgePlan, type PlannedBank, type PlannedCellType } from './judge-plan';
export { checkLabelFigures, type Label, type LabelCheck } from './label-check';
export { BUILD_STEPS, buildCalendar, type BuildCalendar, type BuildStep, type CalendarInput } from './calendar';
export {
	besideLead,
	chargerFits,
	chargingVerdicts,
	type ChargerChoice,
	type ChargerFit,
	type ChargingInput
} from './charging';
export {
	firstCharge,
	suppliesForOneCell,
	type FirstCharge,
	type FirstChargeInput,
	type SupplyChoice
} from './first-charge';
export { LIFT_KG, planLift, type LiftInput, type LiftPlan } from './handling';
export {
	HARDWARE_ITEMS,
	hardwareFor,
	shortfalls,
	type Hardware,
	type HardwareInput,
	type HardwareItem,
	type HardwarePlan,
	type Shortfall
} from './hardware';
export { compareLayouts, type CellChoice, type Layout, type LayoutNeed, type LayoutRefusal } from './layouts';
export {
	USUAL_LOADS,
	hourlyLoads,
	nominalClassV,
	drawnAtMostW,
	notOfAClass,
	seriesFor,
	shareOfDays,
	sumLoads,
	type AmpsAt,
	type LoadPlan,
	type LoadSummary,
	type PlannedLoad
} from './loads';
export {
	costOf,
	differences,
	lineCents,
	nextBreak,
	unitCentsAt,
	type Cost,
	type CostBasis,
	type Difference,
	type PlanItem,
	type PriceBreak
} from './money';
export { NO_PLAN, USUAL_PLAN, type BankPlan, type PlannedBox, type PlannedInverter } from './bank-plan';
export { judgeBankPlan } from './judge-bank-plan';
export {
	plannedYear,
	planState,
	type PlannedCell,
	type PlannedLayout,
	type PlanState,
	type PlanTime
} from './plan-state';
export { judgeYear } from './judge-year';
export { sizeParts, type PartsInput, type SizedPart, type SizedParts } from './parts';
export { libraryOf, type Thing } from './things';
