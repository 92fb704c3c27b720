export {
	LOAD_MODES,
	advanceBench,
	clipTool,
	flowAt,
	isBuiltIn,
	openBench,
	voltageAt,
	wireBench,
	type Bench,
	type Incident,
	type LoadMode,
	type Place,
	type Tool
} from './bench';
export { BENCH_ACCURACY, drawCalibration, shownValue, type Accuracy, type BenchQuantity } from './instrument';
export { leadErrorsV } from './leads';
export { readBms, readLoad, readOhmmeter, readShunt, readSupply, readVoltmeter, type BmsReading } from './readings';
export {
	SCENARIO_FORMAT,
	SCENARIO_VERSION,
	TIME_FACTORS,
	completeScenario,
	type Scenario,
	type ScenarioCell
} from './scenario';
