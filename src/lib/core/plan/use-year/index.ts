export { CHARGE_EFFICIENCY } from './battery-year';
export { USUAL_YEARS, type Hourly, type PanelField, type YearInput } from './input';
export { answerOf, yearOfUse, type YearAnswer, type YearOfUse, type YearProgress } from './year-of-use';
export { panelYear } from './panels';
export { prepareYear, type PreparedYear } from './prepare';
