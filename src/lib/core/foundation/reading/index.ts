export { judgeTypeFigures, type SeenOfType, type TypeFigures } from './type-figures';
export {
	CALIBRATED,
	CALIBRATED_FIGURES,
	calibrated,
	correctedBy,
	fitCalibration,
	type Calibrated,
	type Calibration,
	type CalibrationPair,
	type StoredCalibration
} from './calibration';
export { ASSUMED_METER, benchMeters, halfWidth, meterSd, type MeterAccuracy } from './meter';
export { MIN_FOR_SPREAD, ROBUST_Z_LIMIT, findOutliers, type OutlierFinding } from './outlier';
export { parseReading, splitPasted, type ParsedReading } from './parse-reading';
export {
	QUANTITIES,
	QUANTITY_FIGURES,
	plausibleRange,
	shownUnit,
	shownValue,
	type Quantity,
	type QuantityFigures
} from './quantity';
export { questionReading, type ExpectedReadings, type Question } from './question';
export { readPasted, type PastedColumn, type PastedLine } from './pasted-column';
export { INSTRUMENT_KINDS, INSTRUMENT_SHEETS, type InstrumentKind, type InstrumentSheet } from './instrument-sheet';
export { READ_STATES, READ_STATE_NAMES, type ReadState } from './read-state';
export {
	PROBES,
	PROBE_NAMES,
	chargeRegion,
	likeResistances,
	resistanceAt,
	type ChargeRegion,
	type Probe
} from './like-resistance';
export { otherChemistryOf } from './other-chemistry';
