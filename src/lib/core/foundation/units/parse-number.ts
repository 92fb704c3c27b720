const NUMBER = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i;

/**
 * A typed number: decimal point or comma, thousands apart by space, apostrophe or the other of the two (`280,4`, `1 200`, `1.200,5`).
 * A comma alone is a decimal comma.
 * @returns null when nothing is typed, NaN when it is no number
 */
export function parseNumber(text: string): number | null {
	const bare = text
		.trim()
		.replace('−', '-')
		.replace(/[\s’']/g, '');
	if (bare === '') return null;
	const lastComma = bare.lastIndexOf(',');
	const lastPoint = bare.lastIndexOf('.');
	const decimal = lastComma > lastPoint ? ',' : '.';
	const grouping = decimal === ',' ? '.' : ',';
	const plain = bare.replaceAll(grouping, '').replace(decimal, '.');
	return NUMBER.test(plain) ? Number(plain) : NaN;
}
