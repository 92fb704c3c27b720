export {
	acResistanceMohm,
	cellConstants,
	restedCell,
	stepCell,
	terminalVoltageV,
	type CellConstants,
	type CellParameters,
	type CellState
} from './cell';
export { simulateDischarge, type SimulatedRun } from './discharge';
