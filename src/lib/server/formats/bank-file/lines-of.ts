import { InputError } from '$lib/input/validate';

/** Longest line of a bank's file, characters: a rehearsal's bench takes the most. */
const LONGEST_LINE = 8 << 20;

/** The lines of a stream of UTF-8 bytes, without their ends; empty ones are passed over. @throws InputError for one that is too long */
export async function* linesOf(chunks: AsyncIterable<Uint8Array>): AsyncGenerator<string> {
	const decoder = new TextDecoder('utf-8');
	let rest = '';
	for await (const chunk of chunks) {
		const parts = (rest + decoder.decode(chunk, { stream: true })).split('\n');
		rest = parts.pop()!;
		for (const line of parts) if (line.trim() !== '') yield checked(line);
		checked(rest);
	}
	rest += decoder.decode();
	if (rest.trim() !== '') yield checked(rest);
}

function checked(line: string): string {
	if (line.length > LONGEST_LINE)
		throw new InputError([
			{ path: '', message: `a line of the file holds more than ${LONGEST_LINE >> 20} million characters` }
		]);
	return line;
}
