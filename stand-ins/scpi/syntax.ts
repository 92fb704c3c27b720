/** One message unit of a program message: `SOUR:VOLT 3.65` or `*IDN?`. */
export interface MessageUnit {
	header: string;
	parameters: string[];
}

/** A syntax error with its SCPI number (1999, vol. 2, ch. 21). */
export class ScpiError extends Error {
	constructor(
		readonly code: number,
		message: string
	) {
		super(message);
	}
}

/** Splits at a separator that stands outside quotes. */
function splitOutsideQuotes(text: string, separator: string): string[] {
	const parts: string[] = [''];
	let quote = '';
	for (const character of text) {
		if (quote) quote = character === quote ? '' : quote;
		else if (character === '"' || character === "'") quote = character;
		if (!quote && character === separator) parts.push('');
		else parts[parts.length - 1] += character;
	}
	if (quote) throw new ScpiError(-151, 'Invalid string data');
	return parts;
}

const HEADER = /^(\*[A-Za-z]{2,12}\??|:?[A-Za-z][A-Za-z0-9_]*(:[A-Za-z][A-Za-z0-9_]*)*\??)$/;

/** The message units of one line. @throws ScpiError for what is not SCPI */
export function parseMessage(line: string): MessageUnit[] {
	return splitOutsideQuotes(line, ';')
		.map((unit) => unit.trim())
		.filter((unit) => unit.length > 0)
		.map((unit) => {
			const [, header, rest] = /^(\S+)(?:\s+([\s\S]*))?$/.exec(unit)!;
			if (!header || !HEADER.test(header)) throw new ScpiError(-102, 'Syntax error');
			return { header, parameters: rest ? splitOutsideQuotes(rest, ',').map((p) => p.trim()) : [] };
		});
}

/**
 * A pattern such as `MEASure[:SCALar]:VOLTage[:DC]?` as an expression: capitals are the short form, brackets may be left out.
 */
export function headerExpression(pattern: string): RegExp {
	const node = (name: string) => {
		const short = name.replace(/[a-z]/g, '');
		return short === name ? name : `(?:${short}|${name.toUpperCase()})`;
	};
	const source = pattern
		.replace(/\?$/, '')
		.replace(/\[:?([A-Za-z]+):?\]|([A-Za-z]+)|([:*])/g, (whole, optional, required, mark) => {
			if (mark) return mark === '*' ? '\\*' : ':';
			if (required) return node(required);
			return whole.endsWith(':]') ? `(?:${node(optional)}:)?` : `(?::${node(optional)})?`;
		});
	return new RegExp(`^:?${source}${pattern.endsWith('?') ? '\\?' : ''}$`, 'i');
}

const SUFFIXES: Record<string, number> = { U: 1e-6, M: 1e-3, '': 1, K: 1e3 };

/** A number with or without unit: `3.65`, `20 A`, `500MV`. @throws ScpiError */
export function numberOf(parameter: string | undefined, unit: string, least: number, most: number): number {
	if (parameter === undefined) throw new ScpiError(-109, 'Missing parameter');
	if (/^min(imum)?$/i.test(parameter)) return least;
	if (/^max(imum)?$/i.test(parameter)) return most;
	const match = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?)\s*([A-Za-z]*)$/.exec(parameter);
	if (!match) throw new ScpiError(-104, 'Data type error');
	const suffix = match[2]!.toUpperCase();
	const scale =
		suffix === '' ? 1 : suffix.endsWith(unit) ? SUFFIXES[suffix.slice(0, suffix.length - unit.length)] : undefined;
	if (scale === undefined) throw new ScpiError(-131, 'Invalid suffix');
	const value = Number(match[1]) * scale;
	if (!(value >= least && value <= most)) throw new ScpiError(-222, 'Data out of range');
	return value;
}

/** `ON`, `OFF`, `1`, `0`. @throws ScpiError */
export function booleanOf(parameter: string | undefined): boolean {
	if (parameter === undefined) throw new ScpiError(-109, 'Missing parameter');
	if (/^(on|1)$/i.test(parameter)) return true;
	if (/^(off|0)$/i.test(parameter)) return false;
	throw new ScpiError(-104, 'Data type error');
}

/** The word of a list a parameter means, short or long form. @throws ScpiError */
export function wordOf(parameter: string | undefined, words: readonly string[]): string {
	if (parameter === undefined) throw new ScpiError(-109, 'Missing parameter');
	const found = words.find((w) => headerExpression(w).test(parameter));
	if (!found) throw new ScpiError(-224, 'Illegal parameter value');
	return found;
}

/** A quoted string. @throws ScpiError */
export function stringOf(parameter: string | undefined): string {
	if (parameter === undefined) throw new ScpiError(-109, 'Missing parameter');
	const quote = parameter[0];
	if (parameter.length < 2 || (quote !== '"' && quote !== "'") || !parameter.endsWith(quote))
		throw new ScpiError(-104, 'Data type error');
	return parameter.slice(1, -1).replaceAll(quote + quote, quote);
}
