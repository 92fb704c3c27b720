export { capacityForecastVerdict } from './capacity-forecast';
export { USUAL_BMS_SD_V, bmsVerdicts } from './compare-bms';
export { counterVerdict } from './counters';
