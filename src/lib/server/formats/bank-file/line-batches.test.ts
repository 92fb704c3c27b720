import { expect, it } from 'vitest';
import { lineBatches } from './line-batches';

async function* pieces(bytes: Uint8Array, size: number): AsyncGenerator<Uint8Array> {
	for (let at = 0; at < bytes.length; at += size) yield bytes.slice(at, at + size);
}
async function batches(text: string, size: number): Promise<string[]> {
	const all: string[] = [];
	for await (const batch of lineBatches(pieces(new TextEncoder().encode(text), size)))
		all.push(new TextDecoder('utf-8', { fatal: true }).decode(batch));
	return all;
}

const long = `{"a":"äöü 🜂 ${'x'.repeat(100_000)}"}\n`.repeat(7);

it.each([1013, 65_536, 10_000_000])('cuts between lines alone, however the bytes come: %d at a time', async (size) => {
	const cut = await batches(`${long}last`, size);
	expect(cut.join('')).toBe(`${long}last`);
	for (const batch of cut.slice(0, -1)) expect(batch.endsWith('\n')).toBe(true);
	if (size < 100_000) expect(cut.length).toBeGreaterThan(1);
});
it('gives nothing of nothing, and refuses a line without end', async () => {
	expect(await batches('', 10)).toEqual([]);
	await expect(batches('x'.repeat((8 << 20) + 1), 1 << 20)).rejects.toThrow(/more than 8 million/);
});
