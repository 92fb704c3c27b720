export { type SizedBattery, bankLayout, layoutText } from './bank-layout';
export { type LiftPlan, builtMassKg, planLift } from './handling';
export { type CellChoice, type Layout, type LayoutRefusal, compareLayouts } from './layouts';
export { type PartsInput, sizeParts } from './parts';
