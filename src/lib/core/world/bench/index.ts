export type { Bench, Incident, LoadMode, Place, Tool } from './bench-state';
export { advanceBench, clipTool, exchangeLeads, openBench, wireBench } from './bench';
export { BENCH_ACCURACY, drawCalibration, shownValue } from './instrument';
export { type LeadNodes, leadErrorsV, leadNodesOf } from './leads';
export { heldBack, reseatLead, tightenBars } from './mend';
export { switchOutput } from './polarity';
export { readBms, readLoad, readOhmmeter, readShunt, readSupply, readVoltmeter } from './readings';
export { SCENARIO_FORMAT, SCENARIO_VERSION, type Scenario, TIME_FACTORS, completeScenario } from './scenario';
export { voltageAt } from './voltage-at';
