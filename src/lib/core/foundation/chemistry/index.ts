export { CHEMISTRIES, CHEMISTRY_FIGURES, type Chemistry, KNEE_V, byChemistry, mostOfOneCellV } from './chemistry';
export { MAX_COLD_SHARE, RATED_C, coldShareAt, temperatureFactor, toTemperature } from './cold';
export { type DrawnCurve, beyondEnds, drawnCurve } from './drawn-curve';
export { fullnessRuledOut } from './fullness';
export { LOST_A_DAY } from './lost-a-day';
export { INSTANT_OHM_AH, LOADED_OHM_AH, SLOW_SHARE } from './resistance';
export {
	BOTTOM_DOUBT,
	HYSTERESIS_V,
	LAST_MOVES,
	type LastMove,
	type SocBounds,
	TOP_BALANCE_V,
	restVoltageCurve,
	socBounds
} from './rest-voltage';
