export { type DoubtedForecast, coldLoss, forecastInDoubt } from './forecast-doubt';
export { type Ender, type ForecastRange, type KnownCell, drawnCharges, forecastRange } from './forecast-range';
export { type Balance, forecast } from './forecast';
