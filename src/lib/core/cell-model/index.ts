export { acResistanceMohm, circuitConstants, openCircuitCurve, type CircuitConstants } from './circuit';
export { completeCell, type CellParameters, type CellSpec } from './parameters';
export {
	copyState,
	createCells,
	expectedSwingV,
	midRiseOhm,
	midSourceVoltageV,
	refreshCells,
	restoreState,
	sourceVoltageV,
	stepCell,
	stepDecay,
	storedEnergyJ,
	terminalVoltageV,
	type Cells,
	type CellsState,
	type StartingCell,
	type StepDecay
} from './cells';
export { simulateDischarge, type SimulatedRun } from './discharge';
