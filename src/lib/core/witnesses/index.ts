export { combineWitnesses, type Combined } from './combine';
export { WITNESS_KINDS, statementOf, type Witness } from './witness';
