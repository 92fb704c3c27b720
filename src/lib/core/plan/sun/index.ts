export { clearSky, cosIncidence, diffuseShare, viewOf } from './irradiance';
export { declinationAt, sunPosition } from './position';
export { DAYS, HOURS, MONTH_DAYS, MONTH_OF_DAY, type SunYear, sunYear } from './sun-year';
export { usualAirC, usualSunHours } from './usual';
