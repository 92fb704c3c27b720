import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { bench, leaveBrowser, settled, stored, wakeBrowser } from './entry-bench';
import type { EntryMemory, MemoryStore } from './entry-memory';

beforeEach(wakeBrowser);
afterEach(leaveBrowser);

describe('another view was shown meanwhile', () => {
	/** A tab that keeps what its entry remembers. */
	const tab = (): MemoryStore => {
		let kept: string | null = null;
		return {
			read: () => (kept === null ? null : (JSON.parse(kept) as EntryMemory)),
			write: (memory) => void (kept = JSON.stringify(memory))
		};
	};
	it('what was asked is asked still, and what was typed may be taken back', async () => {
		const memory = tab();
		const first = bench(stored, memory);
		first.type('3.295', '32.9');
		await settled();
		expect(first.entry.questions).toHaveLength(1);
		const again = bench(stored, memory);
		expect(again.entry.question).toMatchObject({ cell: { label: 'E-02' }, quantity: 'restVoltage' });
		expect(again.entry.canUndo).toBe(true);
		await again.entry.undo();
		expect(again.removed).toHaveLength(1);
		expect(again.entry.questions, 'the question goes with its value').toEqual([]);
	});
	it('an answer is remembered, too', async () => {
		const memory = tab();
		const first = bench(stored, memory);
		first.type('32.9');
		first.entry.confirm();
		await settled();
		expect(bench(stored, memory).entry.questions).toEqual([]);
	});
});
