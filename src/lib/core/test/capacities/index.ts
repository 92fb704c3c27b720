export { type CellCapacity, bankCapacities, bankTesting, promisedTo, ratedOf } from './bank-capacities';
export { heldCapacities, heldVerdicts } from './held-runs';
export { protocolStrip } from './protocol-strip';
export { type RunCorrection, cRateOf } from './standard-runs';
