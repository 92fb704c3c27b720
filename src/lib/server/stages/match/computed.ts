import { forecastInDoubt, type DoubtedForecast } from '$lib/core/match/forecast';
import type { ForecastRequest } from '$lib/input/joining';

/** @throws CoreError */
export const forecastOf = ({ cells, groups, balance, temperatureC }: ForecastRequest): DoubtedForecast =>
	forecastInDoubt(cells, groups, balance, temperatureC);
