/** Days of a mean month. */
export const MONTH_DAYS_MEAN = 30.4375;

/** January first. */
export const MONTH_NAMES = [
	...['January', 'February', 'March', 'April', 'May', 'June'],
	...['July', 'August', 'September', 'October', 'November', 'December']
] as const;
