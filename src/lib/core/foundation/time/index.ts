export { hoursText, parseHours } from './hours-text';
export { MONTH_DAYS_MEAN, MONTH_NAMES } from './months';
export {
	type WakingHours,
	byTheCalendarS,
	lastWakingMoment,
	mayFallInNight,
	nextWakingMoment,
	pauseForNight,
	startForDaytimeEnd,
	wakingLength
} from './waking-hours';
export { type ZoneOffset, offsetAt, zoneOffsets } from './zone-offsets';
