import { describe, expect, it } from 'vitest';
import { calibrated, fitCalibration } from '.';

const pairs = (gain: number, offset: number, truths: number[]) =>
	truths.map((truth) => ({ truth, shown: (1 + gain) * truth + offset }));

describe('a meter held against a better one', () => {
	it('by hand: 3.310 and 13.240 shown for 3.300 and 13.200 is 0.3027 % and 0.1 mV', () => {
		const { gain, offset } = fitCalibration(
			[
				{ shown: 3.31, truth: 3.3 },
				{ shown: 13.24, truth: 13.2 }
			],
			0.0005
		);
		expect(gain).toBeCloseTo(0.03 / 9.9, 9);
		expect(offset).toBeCloseTo(0.01 - (0.03 / 9.9) * 3.3, 9);
	});
	it('gives gain and offset back, and takes them out of a reading', () => {
		const found = fitCalibration(pairs(0.004, -0.003, [2, 3.3, 5, 12]), 0);
		expect(found.gain).toBeCloseTo(0.004, 9);
		expect(found.offset).toBeCloseTo(-0.003, 9);
		expect(calibrated(1.004 * 3.3 - 0.003, found, 0, 0.01).value).toBeCloseTo(3.3, 9);
	});
	it('pairs too close together tell an offset and no gain', () => {
		const found = fitCalibration(pairs(0.004, 0, [3.29, 3.3, 3.31]), 0.001);
		expect(found.gain).toBe(0);
		expect(found.offset).toBeCloseTo(0.0132, 6);
	});
	it('is doubted by the better meter, by how the pairs scatter, far from them, and with the years', () => {
		const close = fitCalibration(pairs(0.001, 0, [3, 4]), 0.001);
		expect(close.sdAt(3.5)).toBeGreaterThanOrEqual(0.001);
		expect(close.sdAt(48)).toBeGreaterThan(close.sdAt(3.5));
		const rough = fitCalibration(
			[
				{ shown: 3.3, truth: 3.3 },
				{ shown: 3.32, truth: 3.3 },
				{ shown: 3.31, truth: 3.3 }
			],
			0
		);
		expect(rough.sdAt(3.3)).toBeCloseTo(0.01 * Math.sqrt(4 / 3), 9);
		expect(calibrated(3.3, close, 4, 0.02).sd).toBeGreaterThan(calibrated(3.3, close, 1, 0.02).sd);
	});
	it('refuses no pairs', () => expect(() => fitCalibration([], 0.001)).toThrow(/one pair/));
});
