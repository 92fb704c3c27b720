export { type BalanceAnswer, type BalancedEnd, isBalanced } from './is-balanced';
