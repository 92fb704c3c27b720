export { forecast, type Balance, type Forecast, type ForecastCell, type ForecastId } from './forecast';
