export { capacityForecastVerdict, type CapacityForecast } from './capacity-forecast';
export { USUAL_BMS_SD_V, bmsVerdicts, type BmsComparison } from './compare-bms';
export { counterVerdict } from './counters';
