export { checkChain } from './check-chain';
export { checkWiring, type Wiring } from './check-wiring';
export type { LimitValue } from './limit-value';
export { computeLimits } from './limits';
export type { CellLimits, LimitsInput, LoadDraw } from './limits-input';
export { STANDBY_DAYS, standbyDays, type StandbyInput } from './standby';
export { STRATEGIES, STRATEGY_FIGURES, type Strategy } from './strategies';
