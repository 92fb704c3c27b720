import { wrap, type Remote } from 'comlink';
import type { ForecastWorker } from '$lib/workers/forecast-worker';

export interface ForecastJob {
	ask: Remote<ForecastWorker>['forecasts'];
	end(): void;
}

/** Forecasts in a worker of its own. */
export function forecastJob(): ForecastJob {
	const worker = new Worker(new URL('../../workers/forecast-worker.ts', import.meta.url), { type: 'module' });
	const remote = wrap<ForecastWorker>(worker);
	return { ask: remote.forecasts, end: () => worker.terminate() };
}
