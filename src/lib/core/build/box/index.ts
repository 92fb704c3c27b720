export type { BatteryShape } from './battery-shape';
export { type BoxArrangement, type BoxFitInput, boxArrangements } from './box-fit';
