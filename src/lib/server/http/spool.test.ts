import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { spooled } from './spool';

async function* pieces(count: number, bytes: number): AsyncGenerator<Uint8Array> {
	for (let i = 0; i < count; i++) yield new Uint8Array(bytes).fill(i);
}

describe('a body taken in before anybody works on it', () => {
	let folder: string;
	beforeEach(() => {
		folder = mkdtempSync(join(tmpdir(), 'spool-test-'));
		vi.stubEnv('TMPDIR', folder);
	});
	afterEach(() => {
		vi.unstubAllEnvs();
		rmSync(folder, { recursive: true, force: true });
	});

	it('is read back as it came, and leaves no name on the disk even while it is read', async () => {
		const body = await spooled(pieces(9, 100_000));
		expect(readdirSync(folder)).toEqual([]);
		const back: number[] = [];
		for await (const chunk of body.chunks) back.push(...chunk.filter((_, i) => i % 1000 === 0));
		await body.discard();
		expect(back.length).toBeGreaterThanOrEqual(900);
		expect(back[0]).toBe(0);
		expect(back.at(-1)).toBe(8);
	});
	it('that is refused on its way is refused here, and nothing is left', async () => {
		async function* broken(): AsyncGenerator<Uint8Array> {
			yield new Uint8Array(10);
			throw new Error('the line broke');
		}
		await expect(spooled(broken())).rejects.toThrow('the line broke');
		expect(readdirSync(folder)).toEqual([]);
	});
	it('finds no room where there is none, in words', async () => {
		vi.stubEnv('TMPDIR', '/proc');
		await expect(spooled(pieces(1, 1))).rejects.toMatchObject({ status: 409, code: 'no-room' });
	});
	it('of more than sixteen at once the next is told to wait, and there is room again afterwards', async () => {
		let go: () => void = () => undefined;
		const gate = new Promise<void>((done) => (go = done));
		async function* slow(): AsyncGenerator<Uint8Array> {
			await gate;
			yield new Uint8Array(1);
		}
		const sixteen = Array.from({ length: 16 }, () => spooled(slow()));
		await expect(spooled(slow())).rejects.toMatchObject({ status: 409, code: 'busy' });
		go();
		for (const body of await Promise.all(sixteen)) await body.discard();
		await (await spooled(pieces(1, 1))).discard();
	});
});
