import { expect, it } from 'vitest';
import { linesOf } from './lines-of';

async function* pieces(bytes: Uint8Array, size: number): AsyncGenerator<Uint8Array> {
	for (let at = 0; at < bytes.length; at += size) yield bytes.slice(at, at + size);
}
async function all(text: string, size: number): Promise<string[]> {
	const lines: string[] = [];
	for await (const line of linesOf(pieces(new TextEncoder().encode(text), size))) lines.push(line);
	return lines;
}

it.each([1, 2, 3, 7, 1000])('gives the same lines however the bytes are cut: %d at a time', async (size) => {
	const lines = ['{"a":"äöü"}', '{"b":"🜂 zwölf"}', 'last'];
	expect(await all(lines.join('\n'), size)).toEqual(lines);
	expect(await all(`${lines.join('\n')}\n\n`, size)).toEqual(lines);
});
it('gives none of nothing, and refuses a line without end', async () => {
	expect(await all('', 10)).toEqual([]);
	await expect(all('x'.repeat((8 << 20) + 1), 1 << 20)).rejects.toThrow(/more than 8 million/);
});
