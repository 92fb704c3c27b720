export { ASSUMED_SUPPLY, type BalanceState, type EarlierSet, balanceState, isCharging } from './balance-state';
export { methodStanding } from './method-standing';
export { rowCold, startRefusals } from './row-start';
