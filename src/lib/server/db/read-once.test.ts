import { describe, expect, it } from 'vitest';
import { readingOnce, shared } from './read-once';

/** A database of which only the reads are counted. */
function counted() {
	let reads = 0;
	const read = (key = 'banks 1') => shared(key, async () => `${key}, read ${++reads}`);
	return { read, reads: () => reads };
}

describe('reading once', () => {
	it('reads the same rows once within a piece of work, asked at once or one after the other', async () => {
		const { read, reads } = counted();
		const answers = await readingOnce(async () => [...(await Promise.all([read(), read()])), await read()]);
		expect(answers).toEqual(Array(3).fill('banks 1, read 1'));
		expect(reads()).toBe(1);
	});
	it('keeps other rows apart, and reads each time outside', async () => {
		const { read, reads } = counted();
		await readingOnce(() => Promise.all([read('banks 1'), read('banks 2')]));
		await read();
		await read();
		expect(reads()).toBe(4);
	});
	it('begins afresh with the next work, and in work that goes on after the first is done', async () => {
		const { read, reads } = counted();
		let late: Promise<string> = Promise.resolve('not begun');
		await readingOnce(async () => {
			await read();
			late = new Promise((done) => setTimeout(done, 5)).then(() => read());
		});
		expect(await readingOnce(() => read())).toBe('banks 1, read 2');
		expect(await late).toBe('banks 1, read 3');
		expect(reads()).toBe(3);
	});
	it('shares the outer scope with work within it', async () => {
		const { read, reads } = counted();
		await readingOnce(async () => {
			await read();
			await readingOnce(() => read());
			await read();
		});
		expect(reads()).toBe(1);
	});
	it('gives a failure to everyone who asked, and to nobody later', async () => {
		const fails = () => shared('banks 9', () => Promise.reject(new Error('away')));
		await readingOnce(async () => {
			await expect(fails()).rejects.toThrow('away');
		});
		await expect(shared('banks 9', async () => 'there')).resolves.toBe('there');
	});
});
