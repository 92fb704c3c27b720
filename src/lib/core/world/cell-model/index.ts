export {
	type Cells,
	type CellsState,
	copyState,
	createCells,
	refreshCells,
	restoreState,
	sourceVoltageV,
	terminalVoltageV
} from './cells';
export {
	HEAT_CAPACITY_J_PER_KG_K,
	LEAK_RISES_ABOVE_V,
	acResistanceMohm,
	circuitConstants,
	coldFactor
} from './circuit';
export { openCircuitCurve } from './curve';
export { simulateDischarge } from './discharge';
export { CLOSED_BOX_W_PER_K, type CellNature, FREE_AIR_W_PER_K, USUAL_NATURE } from './nature';
export { type CellParameters, type CellSpec, completeCell } from './parameters';
export {
	type StepDecay,
	expectedSwingV,
	midRiseOhm,
	midSourceVoltageV,
	stepCell,
	stepDecay,
	storedEnergyJ
} from './step';
