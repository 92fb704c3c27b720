export { CHEMISTRIES, CHEMISTRY_FIGURES, mostOfOneCellV, type Chemistry, type ChemistryFigures } from './chemistry';
export { HYSTERESIS_V, restVoltageCurve, socBounds, type SocBounds } from './rest-voltage';
