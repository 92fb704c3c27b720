export { type Balancer, completeBalancer } from './balancer';
export { type StepSums, wireBattery } from './battery';
export { type BmsLimits, TRIPS, type Trip, activeTrips, completeBms, createBms, defaultBmsLimits } from './bms';
export { type Drive, type Flow, checkDrive, drawnCurrent } from './drive';
export { type GuardedBattery, guardBattery, readGuarded, stepGuarded } from './guarded';
export { type SimulationInput, type SimulationResult, checkSimulation, simulate } from './simulate';
export { WIRINGS, type Wiring, type WorldCell } from './world';
