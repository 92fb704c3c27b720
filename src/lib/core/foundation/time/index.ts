export {
	mayFallInNight,
	byTheCalendarS,
	lastWakingMoment,
	nextWakingMoment,
	pauseForNight,
	startForDaytimeEnd,
	wakingLength,
	type WakingHours
} from './waking-hours';
export { hoursText, parseHours } from './hours-text';
