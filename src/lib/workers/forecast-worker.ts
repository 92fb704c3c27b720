import { expose } from 'comlink';
import { forecastRange, type Balance, type ForecastRange, type KnownCell } from '$lib/core/match/forecast';
import type { Chemistry } from '$lib/core/foundation/chemistry';

/** Batteries, of each its groups, most negative first, as ids of the cells. */
export type Batteries = number[][][];

/** What the page may ask of the forecasting worker. */
export interface ForecastWorker {
	/** One answer for each of the arrangements under each of the ways, arrangement by arrangement. */
	forecasts(
		cells: KnownCell[],
		arrangements: Batteries[],
		ways: Balance[],
		chemistry: Chemistry
	): (ForecastRange | null)[][];
}

const worker: ForecastWorker = {
	forecasts: (cells, arrangements, ways, chemistry) =>
		arrangements.map((batteries) => ways.map((way) => forecastRange(cells, batteries, way, chemistry)))
};

expose(worker);
