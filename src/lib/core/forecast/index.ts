export { forecast, type Balance, type Forecast, type ForecastCell, type ForecastId } from './forecast';
export {
	drawnCharges,
	forecastRange,
	type Ender,
	type ForecastRange,
	type KnownCell,
	type RestRead
} from './forecast-range';
