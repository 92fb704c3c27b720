export { acResistanceMohm, circuitConstants, openCircuitCurve, type CircuitConstants } from './circuit';
export { completeCell, type CellParameters, type CellSpec } from './parameters';
export {
	copyState,
	createCells,
	refreshCells,
	restoreState,
	sourceVoltageV,
	terminalVoltageV,
	type Cells,
	type CellsState,
	type StartingCell
} from './cells';
export {
	expectedSwingV,
	midRiseOhm,
	midSourceVoltageV,
	stepCell,
	stepDecay,
	storedEnergyJ,
	type StepDecay
} from './step';
export { simulateDischarge, type SimulatedRun } from './discharge';
