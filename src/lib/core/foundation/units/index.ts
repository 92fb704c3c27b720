export {
	decimalsFor,
	formatDate,
	formatDateTime,
	formatDuration,
	formatNumber,
	formatPercent,
	formatTyped,
	formatWithDoubt,
	formatYears,
	localDay,
	withDates
} from './format';
export { parseDate, parseRoughDate } from './parse-date';
export { parseNumber } from './parse-number';
export {
	type ConvertedQuantity,
	DATE_STYLES,
	DEFAULT_SETTINGS,
	type MeterSettings,
	type Settings,
	THEMES,
	UNIT_SYSTEMS,
	fromUserUnits,
	toUserUnits,
	unitOf
} from './units';
export { withUnits } from './with-units';
