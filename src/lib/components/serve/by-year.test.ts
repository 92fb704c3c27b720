import { describe, expect, it } from 'vitest';
import { byYear } from './by-year';

describe('history by years', () => {
	it('has the latest year first, and in it the latest day', () => {
		const at = (day: string) => ({ at: day });
		expect(byYear([at('2024-03-01'), at('2025-01-02'), at('2024-11-09T08:00:00Z'), at('2025-12-31')])).toEqual([
			{ year: '2025', entries: [at('2025-12-31'), at('2025-01-02')] },
			{ year: '2024', entries: [at('2024-11-09T08:00:00Z'), at('2024-03-01')] }
		]);
	});
	it('is empty where nothing was logged', () => expect(byYear([])).toEqual([]));
});
