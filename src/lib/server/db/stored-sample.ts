/** One stored sample, as the instruments showed it. Current positive into the battery. */
export interface StoredSample {
	atMs: number;
	phase: number;
	voltageV: number | null;
	currentA: number;
	cellV: number | null;
	temperatureC: number | null;
	groupsV: number[] | null;
}
