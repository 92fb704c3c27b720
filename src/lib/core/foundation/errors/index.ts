export { CoreError, requireAlike, requireFinite, requireNotNegative, requirePositive } from './core-error';
