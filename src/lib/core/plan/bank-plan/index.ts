export { type BankPlan, NO_PLAN, type PlannedBox, type PlannedInverter, USUAL_PLAN } from './bank-plan';
export { judgeBankPlan } from './judge-bank-plan';
export { judgePlan } from './judge-plan';
export { judgeYear } from './judge-year';
export {
	type PlanState,
	type PlanTime,
	type PlannedCell,
	type PlannedLayout,
	planState,
	plannedYear
} from './plan-state';
