export { balanceGroups, completeBalancer, type Balancer } from './balancer';
export { readBattery, stepBattery, wireBattery, type Battery, type StepSums } from './battery';
export {
	TRIPS,
	activeTrips,
	completeBms,
	createBms,
	defaultBmsLimits,
	type Bms,
	type BmsLimits,
	type Trip
} from './bms';
export { checkDrive, drawnCurrent, type Drive, type Flow } from './drive';
export { guardBattery, readGuarded, stepGuarded, type GuardedBattery } from './guarded';
export type { Recording } from './recorder';
export {
	MOST_CELL_STEPS,
	checkSimulation,
	simulate,
	type SimulatedStep,
	type SimulationInput,
	type SimulationResult
} from './simulate';
export { WIRINGS, type SimulatedWorld, type Wiring, type WorldCell } from './world';
