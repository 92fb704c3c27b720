import { InputError } from '$lib/input/validate';
import type { FirstFormatAnswer } from './import-thread';
import { checkFirstFormat, linesOfFirstFormat } from '../formats/bank-file/first-format';
import { onThread } from './thread';

/** Longest the reading of a file may take, s. */
const MOST_S = 120;
/** A file of so many bytes is read in passing; a larger one on a thread. */
const IN_PASSING = 256 * 1024;

/** The lines of a bank's file of the first format, as pieces of bytes. @throws InputError */
export async function firstFormatLines(bytes: Uint8Array<ArrayBuffer>, signal: AbortSignal): Promise<Uint8Array[]> {
	if (bytes.byteLength <= IN_PASSING) return [inPassing(bytes)];
	const own = bytes.byteLength === bytes.buffer.byteLength ? bytes : bytes.slice();
	const answer = await onThread<FirstFormatAnswer>({
		file: 'import-thread',
		what: 'bank files',
		data: own,
		signal,
		mostS: MOST_S,
		transfer: [own.buffer]
	});
	if (answer.kind === 'refused') throw new InputError(answer.faults);
	return answer.pieces;
}

function inPassing(bytes: Uint8Array): Uint8Array {
	let file: unknown;
	try {
		file = JSON.parse(new TextDecoder().decode(bytes));
	} catch {
		throw new InputError([{ path: '', message: 'The file is not JSON: it was cut short or changed' }]);
	}
	const lines = [...linesOfFirstFormat(checkFirstFormat(file))].map((line) => JSON.stringify(line));
	return new TextEncoder().encode(lines.join('\n'));
}
