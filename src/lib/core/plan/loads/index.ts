export {
	CABLE_A,
	type LoadSummary,
	type PlannedLoad,
	USUAL_LOADS,
	drawnAtMostW,
	hourlyLoads,
	nominalClassV,
	notOfAClass,
	seriesFor,
	shareOfDays,
	sumLoads
} from './loads';
export { type Thing, libraryOf } from './things';
