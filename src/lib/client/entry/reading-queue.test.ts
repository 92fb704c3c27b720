import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem } from '../api/api';
import { ReadingQueue, type QueuedReading, type QueueStore } from './reading-queue';

const reading = (n: number): QueuedReading => ({
	clientKey: `k${n}`,
	cellId: n,
	quantity: 'restVoltage',
	rawText: '3.298',
	takenAt: '2026-03-09T10:00:00Z'
});
function memoryStore(): QueueStore {
	let items: QueuedReading[] = [];
	return { read: () => items, write: (next) => (items = next) };
}

describe('unsent readings', () => {
	beforeEach(() => void vi.useFakeTimers());
	afterEach(() => void vi.useRealTimers());

	it('wait while the server is away and go in order when it is back', async () => {
		const store = memoryStore();
		const sent: string[] = [];
		const waiting: number[] = [];
		let away = true;
		const queue = new ReadingQueue(
			(r) => sent.push(r.clientKey),
			vi.fn(),
			(n) => waiting.push(n),
			store,
			async () => {
				if (away) throw new ApiProblem(0, 'unreachable', '', {});
				return { id: 1, version: 1 };
			}
		);
		queue.add(reading(1));
		await vi.advanceTimersByTimeAsync(10);
		queue.add(reading(2));
		await vi.advanceTimersByTimeAsync(10);
		expect(sent).toEqual([]);
		expect(store.read()).toHaveLength(2);
		away = false;
		await vi.advanceTimersByTimeAsync(10_000);
		expect(sent).toEqual(['k1', 'k2']);
		expect(waiting.at(-1)).toBe(0);
	});

	it('reports a refused reading and goes on with the next', async () => {
		const refused: string[] = [];
		const sent: string[] = [];
		const queue = new ReadingQueue(
			(r) => sent.push(r.clientKey),
			(r, why) => refused.push(`${r.clientKey}: ${why}`),
			vi.fn(),
			memoryStore(),
			async (r) => {
				if (r.cellId === 1) throw new ApiProblem(422, 'reading-format', 'not a number', {});
				return { id: 2, version: 1 };
			}
		);
		queue.add(reading(1));
		queue.add(reading(2));
		await vi.advanceTimersByTimeAsync(10);
		expect(refused).toEqual(['k1: not a number']);
		expect(sent).toEqual(['k2']);
	});
});
