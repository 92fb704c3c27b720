import { page } from '$app/state';
import {
	DEFAULT_SETTINGS,
	toUserUnits,
	unitOf,
	withDates,
	withUnits,
	type ConvertedQuantity
} from '$lib/core/foundation/units';

const settings = () => page.data.settings ?? DEFAULT_SETTINGS;

/** The system of units this person has chosen. */
export const ownUnits = () => settings().units;

/** A sentence with its dates and units as this person has chosen them. */
export const inOwnStyle = (text: string): string => withUnits(withDates(text, settings().dateStyle), settings().units);

/** A figure of °C, kg, mm or N·m with its unit, as this person has chosen it. @param digits in the metric unit */
export const measure = (value: number, quantity: ConvertedQuantity, digits: number): string =>
	withUnits(`${value.toFixed(digits).replace('-', '−')} ${unitOf(quantity, 'metric')}`, settings().units);

/** In the chosen unit, rounded as far as anybody types it. */
export const shownIn = (value: number | null, quantity: ConvertedQuantity): number | null => {
	const own = toUserUnits(value, quantity, settings().units);
	return own === null ? null : Number(own.toPrecision(6));
};
