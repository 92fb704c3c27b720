export {
	THINGS_AT_HAND,
	WATER_STOP_C,
	fitLoads,
	ownLoad,
	warmWater,
	type LoadAtHand,
	type LoadFit,
	type LoadNeed,
	type WarmedWater
} from './load-finder';
