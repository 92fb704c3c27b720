import type { LoggedReading } from './touches';

/** In time order. Two readings in the same instant are one: the later entry stands. */
export const readingsInOrder = (readings: readonly LoggedReading[]): LoggedReading[] =>
	[...new Map(readings.map((r) => [Date.parse(r.readAt), r])).entries()].sort(([a], [b]) => a - b).map(([, r]) => r);
