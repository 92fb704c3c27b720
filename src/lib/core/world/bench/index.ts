export { advanceBench, clipTool, exchangeLeads, flowAt, isBuiltIn, openBench, wireBench } from './bench';
export { LOAD_MODES, type Bench, type Incident, type LoadMode, type Place, type Tool } from './bench-state';
export { BENCH_ACCURACY, drawCalibration, shownValue, type Accuracy, type BenchQuantity } from './instrument';
export { exchangedLeads, leadErrorsV, leadNodesOf, type LeadNodes } from './leads';
export { readBms, readLoad, readOhmmeter, readShunt, readSupply, readVoltmeter, type BmsReading } from './readings';
export { isCrossed, switchOutput } from './polarity';
export {
	SCENARIO_FORMAT,
	SCENARIO_VERSION,
	TIME_FACTORS,
	completeScenario,
	type Scenario,
	type ScenarioCell
} from './scenario';
export { voltageAt } from './voltage-at';
export { heldBack, reseatLead, tightenBars } from './mend';
