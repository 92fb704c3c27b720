export { type BuildCalendar, type BuildStep, buildCalendar } from './calendar';
