export {
	type LoadAtHand,
	type LoadFit,
	type LoadNeed,
	THINGS_AT_HAND,
	WATER_STOP_C,
	fitLoads,
	ownLoad,
	warmWater
} from './load-finder';
