export { LEAK_RISES_ABOVE_V, acResistanceMohm, circuitConstants, coldFactor, type CircuitConstants } from './circuit';
export { openCircuitCurve } from './curve';
export { HEAT_CAPACITY_J_PER_KG_K } from './circuit';
export { CLOSED_BOX_W_PER_K, FREE_AIR_W_PER_K, USUAL_NATURE, type CellNature } from './nature';
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
