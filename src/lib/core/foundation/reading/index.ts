export {
	CALIBRATED,
	CALIBRATED_FIGURES,
	type Calibrated,
	type StoredCalibration,
	calibrated,
	correctedBy,
	fitCalibration
} from './calibration';
export { INSTRUMENT_KINDS, INSTRUMENT_SHEETS, type InstrumentKind } from './instrument-sheet';
export { PROBES, PROBE_NAMES, type Probe, chargeRegion, likeResistances, resistanceAt } from './like-resistance';
export { ASSUMED_METER, type MeterAccuracy, benchMeters, halfWidth, meterSd } from './meter';
export { otherChemistryOf } from './other-chemistry';
export { MIN_FOR_SPREAD, type OutlierFinding, ROBUST_Z_LIMIT, findOutliers } from './outlier';
export { parseReading, splitPasted } from './parse-reading';
export { type PastedColumn, type PastedLine, readPasted } from './pasted-column';
export { QUANTITIES, QUANTITY_FIGURES, type Quantity, shownUnit, shownValue } from './quantity';
export { type Question, questionReading } from './question';
export { READ_STATES, READ_STATE_NAMES, type ReadState } from './read-state';
export { type SeenOfType, judgeTypeFigures } from './type-figures';
export { READING_VERDICTS } from './verdicts';
