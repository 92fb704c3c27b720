export { CHEMISTRIES, CHEMISTRY_FIGURES, KNEE_V, byChemistry, mostOfOneCellV, type Chemistry } from './chemistry';
export type { ChemistryFigures } from './kinds/kind';
export {
	BOTTOM_DOUBT,
	HYSTERESIS_V,
	LAST_MOVES,
	TOP_BALANCE_V,
	restVoltageCurve,
	socBounds,
	type LastMove,
	type SocBounds
} from './rest-voltage';
export { beyondEnds, drawnCurve, type DrawnCurve } from './drawn-curve';
export { fullnessRuledOut } from './fullness';
export { INSTANT_OHM_AH, LOADED_OHM_AH, SLOW_SHARE } from './resistance';
export { MOST_COLD_SHARE, RATED_C, coldShareAt, temperatureFactor, toTemperature } from './cold';
