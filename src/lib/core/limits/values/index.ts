export { checkChain } from './check-chain';
export { checkWiring } from './check-wiring';
export type { LimitValue } from './limit-value';
export type { LimitsInput } from './limits-input';
export { computeLimits } from './limits';
export { STANDBY_DAYS, standbyDays } from './standby';
export { STRATEGY_FIGURES } from './strategies';
