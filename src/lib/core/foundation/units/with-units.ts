import { toUserUnits, unitOf, type ConvertedQuantity, type Settings } from './units';

/** A number as sentences write it. */
const NUMBER = '[−-]?\\d+(?:\\.\\d+)?';
/** One or several that share a unit: 5 to 15, 600 × 400 × 300, 4.0 ± 0.2. */
const NUMBERS = `${NUMBER}(?:\\s?(?:to|×|–|…|±|by)\\s?${NUMBER})*`;
/** Not before: a letter, a power or a share (mm², kg/m², mmol). */
const END = '(?![\\p{L}²³/])';

/** Decimals gained in the other unit, so that it is told as exactly: an inch is 25 mm, an in·lb a ninth of an N·m. */
const MORE_DIGITS: Record<ConvertedQuantity, number> = { temperature: 0, mass: 0, length: 2, torque: -1 };

const PATTERNS = (['temperature', 'mass', 'length', 'torque'] as const).map((quantity) => ({
	quantity,
	pattern: new RegExp(`(?<![\\d.,\\p{L}])(${NUMBERS})\\s?${unitOf(quantity, 'metric')}${END}`, 'gu')
}));
const EACH = new RegExp(`(±\\s?)?(${NUMBER})`, 'gu');
/** Differences of temperature; a load on a floor. */
const KELVIN = new RegExp(`(?<![\\d.,\\p{L}])(${NUMBERS})\\s?K${END}`, 'gu');
const FLOOR = new RegExp(`(${NUMBER})\\s?kg/m²`, 'gu');
/** Exact by definition: 1 lb/ft² in kg/m². */
const KG_PER_M2 = 0.45359237 / 0.3048 ** 2;

const digitsOf = (text: string) => text.split('.')[1]?.length ?? 0;
const asNumber = (text: string) => Number(text.replace('−', '-'));
const written = (value: number, digits: number) => {
	const text = Math.abs(value).toFixed(Math.max(0, digits));
	return value < 0 && Number(text) !== 0 ? `−${text}` : text;
};

/**
 * A sentence with its °C, kg, mm, N·m, K and kg/m² in the chosen system; as it is where that is metric. A figure behind ± and one in K is a
 * difference: no offset is added to it. What has no length or mass of its own (mm², kg/kWh) stays.
 */
export function withUnits(text: string, units: Settings['units']): string {
	if (units === 'metric') return text;
	let own = text;
	for (const { quantity, pattern } of PATTERNS)
		own = own.replace(pattern, (_, numbers: string) => {
			const converted = numbers.replace(EACH, (__, around: string | undefined, one: string) => {
				const value = toUserUnits(asNumber(one), quantity, units)!;
				const offset = around ? toUserUnits(0, quantity, units)! : 0;
				return `${around ?? ''}${written(value - offset, digitsOf(one) + MORE_DIGITS[quantity])}`;
			});
			return `${converted} ${unitOf(quantity, units)}`;
		});
	own = own.replace(
		KELVIN,
		(_, numbers: string) =>
			`${numbers.replace(EACH, (__, around: string | undefined, one: string) => `${around ?? ''}${written(asNumber(one) * 1.8, digitsOf(one))}`)} °F`
	);
	return own.replace(FLOOR, (_, one: string) => `${written(asNumber(one) / KG_PER_M2, digitsOf(one))} lb/ft²`);
}
