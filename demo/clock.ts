const DAY_MS = 86400e3;

/** Dates of the scenario, counted back from the day it is loaded. */
export function daysBefore(now: Date, days: number): string {
	return new Date(now.getTime() - days * DAY_MS).toISOString();
}
