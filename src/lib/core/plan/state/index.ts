export { type OpenOrder, type PlanFactsOfBank, bankPlanState, doneSteps, plannedLayout } from './plan-of-bank';
