import type { Interval } from '$lib/core/foundation/statistics';

/** Milliohms over the like, signed: `+0.40`, `−0.02`, `0.00`. */
export function signedMohm(mOhm: number): string {
	const figure = Math.abs(mOhm).toFixed(2);
	return Number(figure) === 0 ? figure : `${mOhm > 0 ? '+' : '−'}${figure}`;
}

/** What a joint has too much, as far as the reading tells: `0.27 to 0.53 mΩ`, `at most 0.14 mΩ`. */
export const mohmRange = ({ low95, high95 }: Pick<Interval, 'low95' | 'high95'>): string =>
	low95 > 0.005 ? `${low95.toFixed(2)} to ${high95.toFixed(2)} mΩ` : `at most ${Math.max(0, high95).toFixed(2)} mΩ`;

/** A current as people say it: `60 A out`, `20 A in`. */
export const flowWords = (currentA: number): string =>
	`${Math.abs(currentA).toFixed(0)} A ${currentA < 0 ? 'out' : 'in'}`;
