import { describe, expect, it } from 'vitest';
import { withUnits } from '.';

describe('a sentence in the chosen units', () => {
	it.each([
		['Charge it at 0 °C or above', 'Charge it at 32 °F or above'],
		['Below −12 °C it stops', 'Below 10 °F it stops'],
		['at −40 °C', 'at −40 °F'],
		['from 5 to 15 °C at most 56 A', 'from 41 to 59 °F at most 56 A'],
		['25 ± 2 °C', '77 ± 4 °F'],
		['30 K above its fellows', '54 °F above its fellows'],
		['It weighs 5.4 kg', 'It weighs 11.9 lb'],
		['600 × 400 × 300 mm inside', '23.62 × 15.75 × 11.81 in inside'],
		['short by 4.5 mm', 'short by 0.177 in'],
		['usually 4 to 6 N·m', 'usually 35 to 53 in·lb'],
		['4.0 N·m', '35 in·lb'],
		['502 kg/m²', '103 lb/ft²'],
		['50 mm² of copper, 3.298 V and 0.25 mΩ', '50 mm² of copper, 3.298 V and 0.25 mΩ'],
		['Cell K-04 at 280 Ah in 5 kWh', 'Cell K-04 at 280 Ah in 5 kWh'],
		['100 kΩ', '100 kΩ']
	])('%s', (metric, us) => {
		expect(withUnits(metric, 'us')).toBe(us);
		expect(withUnits(metric, 'metric')).toBe(metric);
	});
});
