import { describe, expect, it } from 'vitest';
import { paceOf } from './body-pace';

/** A body of so many bytes a second, told of once a second. @returns the second in which it is too slow; null: never within so many */
function secondRefused(bytesAS: (second: number) => number, overallMs: number, seconds: number): number | null {
	let [atMs, size] = [0, 0];
	const isSlow = paceOf(overallMs, () => atMs);
	for (let second = 1; second <= seconds; second++) {
		atMs = second * 1000;
		size += bytesAS(second);
		if (isSlow(size)) return second;
	}
	return null;
}

describe('the pace of a body', () => {
	it('slower than 10 kB/s is found after a stretch of 15 s, whatever came before', () => {
		expect(secondRefused(() => 9_900, 600_000, 60)).toBe(15);
		expect(secondRefused((s) => (s <= 30 ? 1_000_000 : 100), 600_000, 60)).toBe(45);
	});
	it('on a poor line goes through for as long as its kind may take', () => {
		expect(secondRefused(() => 10_100, 600_000, 590)).toBeNull();
		expect(secondRefused(() => 10_100, 60_000, 590)).toBe(61);
	});
	it('may pause within a stretch', () => {
		expect(secondRefused((s) => (s % 15 < 10 ? 30_000 : 0), 600_000, 120)).toBeNull();
	});
});
