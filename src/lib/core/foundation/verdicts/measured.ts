import type { Fact, Measured } from './verdict';

/** Whether a fact is a figure with its doubt. */
export const isMeasured = (fact: Fact): fact is Measured =>
	typeof fact === 'object' && fact !== null && 'value' in fact && 'sd' in fact && typeof fact.value === 'number';

/** A measured voltage to the millivolt. */
export const voltsWords = ({ value }: Measured): string => `${value.toFixed(3)} V`;
