import type { Interval } from '../statistics';

/** An interval in words: `0.3 to 0.7 Ah`; one that begins at next to nothing is `at most 0.7 Ah`. */
export function rangeWords({ low95, high95 }: Pick<Interval, 'low95' | 'high95'>, unit: string): string {
	const decimals = Math.max(Math.abs(low95), Math.abs(high95)) < 10 ? 1 : 0;
	const text = (value: number) =>
		value
			.toFixed(decimals)
			.replace(/^-(?=0(\.0)?$)/, '')
			.replace('-', '−');
	const [low, high] = [text(low95), text(high95)];
	if (Number(low) === 0 && low95 >= 0) return Number(high) === 0 ? `less than 0.1 ${unit}` : `at most ${high} ${unit}`;
	return low === high ? `${low} ${unit}` : `${low} to ${high} ${unit}`;
}

/** Whether a fact is an interval. */
export const isInterval = (fact: unknown): fact is Interval =>
	typeof fact === 'object' && fact !== null && 'low95' in fact && 'likely' in fact && 'high95' in fact;

/** A share in per cent, without the digits that binary fractions leave behind. */
export const shareWords = (share: number): string => `${Number((share * 100).toPrecision(6))} %`;
