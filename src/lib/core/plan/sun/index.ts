export { clearSky, cosIncidence, diffuseShare, extraterrestrial, viewOf, type Plane } from './irradiance';
export { declinationAt, sunAtHourAngle, sunPosition, type Declination, type SunPosition } from './position';
export { DAYS, HOURS, MONTH_DAYS, MONTH_OF_DAY, sunYear, type SunYear } from './sun-year';
export { usualAirC, usualSunHours } from './usual';
