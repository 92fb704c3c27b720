export { combineWitnesses, type Combined } from './combine';
export { meanVoltage, type DischargeConditions } from './mean-volts';
export { WITNESS_KINDS, statementOf, type Witness } from './witness';
