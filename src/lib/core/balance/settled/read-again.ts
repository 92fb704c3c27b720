import { MIN_H } from './settled';

/** Hours after a charger has stopped by itself, or a charge was ended at its tail, at which the cells are read. */
const READ_AFTER_H = [1, 24];

/**
 * When cells that were charged are to be read again: after an hour and after a day, unless that has been done.
 * @param since when the charge ended or its charger stopped, ISO
 * @param lastReadAt when the cell that was read longest ago was read last, ISO; null: one was not read since
 * @returns hours after `since` and the moment in ISO, soonest first; empty when nothing is left to read
 */
export function readAgain(since: string, lastReadAt: string | null): { hours: number; at: string }[] {
	const sinceMs = Date.parse(since);
	const readH = lastReadAt === null ? 0 : (Date.parse(lastReadAt) - sinceMs) / 3_600_000;
	return READ_AFTER_H.filter((hours) => readH < hours * MIN_H).map((hours) => ({
		hours,
		at: new Date(sinceMs + hours * 3_600_000).toISOString()
	}));
}
