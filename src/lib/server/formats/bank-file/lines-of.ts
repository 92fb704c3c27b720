import { InputError } from '$lib/input/validate';

/** Longest line of a bank's file, characters: a rehearsal's bench takes the most. */
const LONGEST_LINE = 8 << 20;

/** The lines of a stream of UTF-8 bytes, without their ends; empty ones are passed over. @throws InputError for one that is too long */
export async function* linesOf(chunks: AsyncIterable<Uint8Array>): AsyncGenerator<string> {
	const decoder = new TextDecoder('utf-8');
	// A long line comes in many pieces: they are put together once, when its end is there.
	let open: string[] = [];
	let openLength = 0;
	for await (const chunk of chunks) {
		const parts = decoder.decode(chunk, { stream: true }).split('\n');
		const last = parts.pop()!;
		if (parts.length) {
			parts[0] = open.join('') + parts[0]!;
			open = [];
			openLength = 0;
		}
		for (const line of parts) if (line.trim() !== '') yield checked(line);
		open.push(last);
		openLength += last.length;
		if (openLength > LONGEST_LINE) throw tooLong();
	}
	const rest = open.join('') + decoder.decode();
	if (rest.trim() !== '') yield checked(rest);
}

const tooLong = () =>
	new InputError([
		{ path: '', message: `a line of the file holds more than ${LONGEST_LINE >> 20} million characters` }
	]);

function checked(line: string): string {
	if (line.length > LONGEST_LINE) throw tooLong();
	return line;
}
