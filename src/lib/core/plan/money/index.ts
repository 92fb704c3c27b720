export { type PlanItem, costOf, differences, lineCents, nextBreak, unitCentsAt } from './money';
