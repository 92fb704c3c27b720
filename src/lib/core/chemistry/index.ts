export { CHEMISTRIES, CHEMISTRY_FIGURES, type Chemistry, type ChemistryFigures } from './chemistry';
export { HYSTERESIS_V, restVoltageCurve, socBounds, type SocBounds } from './rest-voltage';
