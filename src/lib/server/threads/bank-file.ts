import { InputError } from '$lib/input/validate';
import { lineBatches } from '../formats/bank-file/line-batches';
import { parsedLines, type ParsedLine } from '../formats/bank-file/parsed-lines';
import type { ImportAnswer, ImportWork } from './import-thread';
import { onThread } from './thread';

/** Longest the reading of one piece of a file may take, s. */
const MAX_S = 120;
/** So many bytes are read in passing; more of them on a thread. */
const IN_PASSING = 16 * 1024;

async function answer<A extends ImportAnswer['kind']>(work: ImportWork, signal: AbortSignal, atOnce?: number) {
	const answered = await onThread<ImportAnswer>({
		file: 'import-thread',
		what: 'bank files',
		data: work,
		signal,
		mostS: MAX_S,
		transfer: [work.bytes.buffer],
		mostAtOnce: atOnce
	});
	if (answered.kind === 'refused') throw new InputError(answered.faults);
	return answered as Extract<ImportAnswer, { kind: A }>;
}

/** The lines of a bank's file as its bytes come, parsed on a thread. @throws InputError */
export async function* parsedOnThread(
	chunks: AsyncIterable<Uint8Array> | Iterable<Uint8Array>,
	signal: AbortSignal
): AsyncGenerator<ParsedLine> {
	let linesBefore = 0;
	for await (const bytes of lineBatches(chunks)) {
		const lines =
			bytes.byteLength <= IN_PASSING
				? parsedLines(bytes, linesBefore)
				: // Pieces of a file that is half in are never turned away: they wait their turn.
					(await answer<'lines'>({ what: 'lines', bytes, linesBefore }, signal, Infinity)).lines;
		linesBefore += lines.length;
		yield* lines;
	}
}

/** A bank's file of the first format as bytes of lines of the present one, read on a thread. @throws InputError */
export async function firstFormatLines(bytes: Uint8Array<ArrayBuffer>, signal: AbortSignal): Promise<Uint8Array[]> {
	const own = bytes.byteLength === bytes.buffer.byteLength ? bytes : bytes.slice();
	return (await answer<'pieces'>({ what: 'first-format', bytes: own }, signal)).pieces;
}
