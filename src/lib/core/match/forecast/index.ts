export { forecast, type Balance, type Forecast, type ForecastCell, type ForecastId } from './forecast';
export { coldLoss, forecastInDoubt, type DoubtedCell, type DoubtedForecast } from './forecast-doubt';
export {
	drawnCharges,
	forecastRange,
	type Ender,
	type ForecastRange,
	type KnownCell,
	type RestRead
} from './forecast-range';
