import { describe, expect, it } from 'vitest';
import { coldLoss, forecast, forecastInDoubt } from '.';

const cells = [280, 284, 281, 286].map((capacityAh, id) => ({ id, capacityAh, soc: 0.5 }));
const groups = cells.map((c) => [c.id]);

describe('a forecast with its doubt', () => {
	it('at 25 °C says what the forecast says, within some per cent: a tester good to 1 % reads all cells alike', () => {
		const { usableAh, usable } = forecastInDoubt(cells, groups, 'top');
		expect(usableAh).toBe(forecast(cells, groups, 'top').usableAh);
		expect(usable.low95).toBeLessThan(280 * 0.985);
		expect(usable.high95).toBeGreaterThan(280 * 1.01);
		expect(usable.high95 / usable.low95).toBeLessThan(1.06);
	});
	it('at 5 °C the cold keeps 8.6 % back (0.0015 · 20 + 0.00014 · 400), known to a third', () => {
		const { usableAh, usable } = forecastInDoubt(cells, groups, 'top', 5);
		expect(usableAh).toBeCloseTo(280 * (1 - 0.086), 6);
		expect(usable.low95).toBeLessThan(280 * (1 - 0.12));
		expect(usable.high95).toBeGreaterThan(280 * (1 - 0.05));
		expect(coldLoss(5).likely).toBeCloseTo(0.086, 9);
		expect(coldLoss(30)).toEqual({ low95: 0, likely: 0, high95: 0 });
	});
	it('charges in doubt widen what nothing balances', () => {
		const width = (socSd: number) => {
			const { usable } = forecastInDoubt(
				cells.map((c) => ({ ...c, socSd })),
				groups,
				'none'
			);
			return usable.high95 - usable.low95;
		};
		expect(width(0.05)).toBeGreaterThan(2 * width(0.005));
	});
	it('refuses what the forecast refuses, and a doubt below nothing', () => {
		expect(() => forecastInDoubt([{ id: 0, capacityAh: 280 }], [[0]], 'none')).toThrow(/soc is required/);
		expect(() => forecastInDoubt([{ id: 0, capacityAh: 280, capacitySdAh: -1 }], [[0]], 'top')).toThrow(
			/cells.0.capacitySdAh/
		);
	});
});
