export { checkChain } from './check-chain';
export { computeLimits, type CellLimits, type LimitValue, type LimitsInput } from './limits';
export { STRATEGIES, STRATEGY_FIGURES, type Strategy } from './strategies';
