export { combineWitnesses, type Combined } from './combine';
export { MEAN_VOLTS, WITNESS_KINDS, statementOf, type Witness } from './witness';
