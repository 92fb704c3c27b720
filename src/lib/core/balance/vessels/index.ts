export { CHALLENGES, type Challenge } from './challenges';
export {
	type Stop,
	type Vessels,
	apart,
	createVessels,
	moveCharge,
	pour,
	usableAh,
	voltsOf,
	whoStops
} from './vessels';
