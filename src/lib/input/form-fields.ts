import { fromUserUnits, parseNumber, type ConvertedQuantity, type Settings } from '$lib/core/foundation/units';

/** What a form's field holds: words, a number, `true` or `false`, a number in the person's unit of a quantity, or a number to be scaled. */
export type FieldKind = 'text' | 'number' | 'truth' | ConvertedQuantity | { times: number };

function valueOf(text: string, kind: FieldKind, units: Settings['units']): string | number | boolean | null {
	const trimmed = text.trim();
	if (trimmed === '') return null;
	if (kind === 'text') return trimmed;
	if (kind === 'truth') return trimmed === 'true' ? true : trimmed === 'false' ? false : trimmed;
	const number = parseNumber(trimmed)!;
	// What is no number goes on as it was typed: its check says what it requires.
	if (Number.isNaN(number)) return trimmed;
	if (kind === 'number') return number;
	return typeof kind === 'object' ? number * kind.times : fromUserUnits(number, kind, units);
}

/**
 * A posted form as the fields of a record: blank is null, numbers may have a decimal comma and come out in SI, what the form does
 * not have is left out.
 * @param kinds the fields taken, by name; others are passed over
 * @param prefix stands before each name in the form
 */
export function formFields<Name extends string>(
	form: FormData,
	kinds: Readonly<Record<Name, FieldKind>>,
	units: Settings['units'] = 'metric',
	prefix = ''
): Partial<Record<Name, string | number | boolean | null>> {
	return Object.fromEntries(
		Object.entries<FieldKind>(kinds).flatMap(([name, kind]) => {
			const value = form.get(prefix + name);
			return typeof value === 'string' ? [[name, valueOf(value, kind, units)]] : [];
		})
	) as Partial<Record<Name, string | number | boolean | null>>;
}
