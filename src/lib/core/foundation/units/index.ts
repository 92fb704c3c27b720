export { parseDate, parseRoughDate, type RoughDate } from './parse-date';
export { parseNumber } from './parse-number';
export {
	decimalsFor,
	formatDate,
	formatDateTime,
	formatDuration,
	formatNumber,
	formatPercent,
	formatTyped,
	formatYears,
	localDay,
	withDates,
	formatWithDoubt
} from './format';
export {
	DATE_STYLES,
	DEFAULT_SETTINGS,
	THEMES,
	UNIT_SYSTEMS,
	fromUserUnits,
	toUserUnits,
	unitOf,
	type ConvertedQuantity,
	type MeterSettings,
	type Settings
} from './units';
export { withUnits } from './with-units';
