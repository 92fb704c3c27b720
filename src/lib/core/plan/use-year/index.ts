export { CHARGE_EFFICIENCY } from './battery-year';
export type { Hourly, PanelField, YearInput } from './input';
export { panelYear } from './panels';
export { prepareYear } from './prepare';
export { type YearAnswer, type YearOfUse, answerOf, yearOfUse } from './year-of-use';
