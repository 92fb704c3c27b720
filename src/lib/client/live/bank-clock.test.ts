import { afterEach, describe, expect, it, vi } from 'vitest';
import { bankClock } from './bank-clock';

afterEach(() => void vi.useRealTimers());

describe('what time it is for a bank', () => {
	it('is ours at a real bench, and goes as fast as the simulated one from when the page was loaded', () => {
		vi.useFakeTimers({ now: 1_000_000 });
		const [real, bench] = [bankClock(null), bankClock({ nowMs: 50_000_000, factor: 1000 })];
		vi.setSystemTime(1_002_000);
		expect([real(), bench()]).toEqual([1_002_000, 52_000_000]);
	});
});
