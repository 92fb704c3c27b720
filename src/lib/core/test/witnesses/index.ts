export { type Combined, combineWitnesses } from './combine';
export { meanVoltage } from './mean-volts';
export { WITNESS_KINDS, type Witness, statementOf } from './witness';
