import { InputError } from '$lib/input/validate';

/** Longest line of a bank's file, bytes: a rehearsal's bench takes the most. */
const LONGEST_LINE = 8 << 20;
/** Whole lines are handed on when there are so many bytes of them. */
const BATCH = 256 * 1024;
const NEWLINE = 10;

/** Bytes of whole lines, about a quarter of a megabyte each; only the last may end without a line's end. @throws InputError for a line that is too long */
export async function* lineBatches(
	chunks: AsyncIterable<Uint8Array> | Iterable<Uint8Array>
): AsyncGenerator<Uint8Array<ArrayBuffer>> {
	let whole: Uint8Array[] = [];
	let wholeBytes = 0;
	// A long line comes in many pieces: they are put together once, when its end is there.
	let open: Uint8Array[] = [];
	let openBytes = 0;
	for await (const chunk of chunks) {
		const end = chunk.lastIndexOf(NEWLINE) + 1;
		if (end > 0) {
			whole.push(...open, chunk.subarray(0, end));
			wholeBytes += openBytes + end;
			open = [];
			openBytes = 0;
		}
		open.push(chunk.subarray(end));
		openBytes += chunk.length - end;
		if (openBytes > LONGEST_LINE) throw tooLong();
		if (wholeBytes < BATCH) continue;
		yield joined(whole);
		whole = [];
		wholeBytes = 0;
	}
	if (wholeBytes + openBytes > 0) yield joined([...whole, ...open]);
}

function joined(parts: readonly Uint8Array[]): Uint8Array<ArrayBuffer> {
	const bytes = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
	let at = 0;
	for (const part of parts) {
		bytes.set(part, at);
		at += part.length;
	}
	return bytes;
}

const tooLong = () =>
	new InputError([
		{ path: '', message: `a line of the file holds more than ${LONGEST_LINE >> 20} million characters` }
	]);
