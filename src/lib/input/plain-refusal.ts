/** Units at the end of a field's name, as people write them. */
const UNITS: Record<string, string> = {
	V: 'V',
	Ah: 'Ah',
	A: 'A',
	Ohm: 'Ω',
	MOhm: 'mΩ',
	W: 'W',
	Wh: 'Wh',
	C: '°C',
	S: 's',
	H: 'h',
	Mm: 'mm',
	Mm2: 'mm²',
	Kg: 'kg',
	Nm: 'N·m',
	Id: ''
};
const UNIT_AT_END = new RegExp(
	`^(.+?)(${Object.keys(UNITS)
		.sort((a, b) => b.length - a.length)
		.join('|')})$`
);
const FIELD_REQUIRES = /(^|[.!?] |\s)([a-z][A-Za-z0-9]*(?:\.[A-Za-z0-9]+)*) requires? /g;
const LONG_FRACTION = /-?\d+\.\d{5,}/g;
const DIGITS = 5;

/** `cell.chargeLimitV` → `Charge limit (V)`; a place in a list is counted from 1. */
function nameOf(path: string): string {
	const parts = path.split('.');
	const place = parts.length > 1 && /^\d+$/.test(parts.at(-1)!) ? Number(parts.pop()) + 1 : null;
	const [, bare, unit] = UNIT_AT_END.exec(parts.at(-1)!) ?? [null, parts.at(-1)!, null];
	const words = bare!.replace(/([a-z0-9])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`);
	const sign = unit && UNITS[unit] ? ` (${UNITS[unit]})` : '';
	return words.charAt(0).toUpperCase() + words.slice(1) + sign + (place ? `, number ${place},` : '');
}

/** A refusal that names a field as programs do, in the words of a person; what names none is left as it is. */
export const plainRefusal = (message: string): string =>
	message
		.replace(FIELD_REQUIRES, (whole, before: string, path: string) =>
			// A plain word within a sentence is no field.
			before === ' ' && !/[A-Z.]/.test(path) ? whole : `${before}${nameOf(path)} needs `
		)
		.replace(LONG_FRACTION, (figure) => String(Number(Number(figure).toPrecision(DIGITS))));
