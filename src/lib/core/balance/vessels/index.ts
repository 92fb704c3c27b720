export { CHALLENGES, type Attempt, type Challenge } from './challenges';
export {
	apart,
	createVessels,
	moveCharge,
	pour,
	usableAh,
	voltsOf,
	whoStops,
	type Start,
	type Stop,
	type Transfer,
	type Vessels
} from './vessels';
