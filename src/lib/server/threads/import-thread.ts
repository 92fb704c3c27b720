import 'reflect-metadata';
import { InputError } from '$lib/input/validate';
import { stepBack } from '$lib/workers/step-back';
import type { ThreadAnswer } from '$lib/workers/thread-answer';
import { checkFirstFormat, linesOfFirstFormat } from '../formats/bank-file/first-format';

stepBack();

/** The lines of a file of the first format, in pieces of bytes; or what is wrong with it. */
export type FirstFormatAnswer =
	{ kind: 'lines'; pieces: Uint8Array[] } | { kind: 'refused'; faults: InputError['faults'] };

const PIECE = 256 * 1024;

function piecesOf(file: unknown): Uint8Array[] {
	const encoder = new TextEncoder();
	const pieces: Uint8Array[] = [];
	let text = '';
	for (const line of linesOfFirstFormat(checkFirstFormat(file))) {
		text += `${JSON.stringify(line)}\n`;
		if (text.length < PIECE) continue;
		pieces.push(encoder.encode(text));
		text = '';
	}
	return [...pieces, encoder.encode(text)];
}

/** Server-side thread: a whole file of the first format in, its lines out. */
export default (bytes: Uint8Array): ThreadAnswer<FirstFormatAnswer> => ({ kind: 'result', result: answer(bytes) });

function answer(bytes: Uint8Array): FirstFormatAnswer {
	try {
		return { kind: 'lines', pieces: piecesOf(JSON.parse(new TextDecoder().decode(bytes))) };
	} catch (error) {
		if (error instanceof InputError) return { kind: 'refused', faults: error.faults };
		if (error instanceof SyntaxError)
			return { kind: 'refused', faults: [{ path: '', message: 'The file is not JSON: it was cut short or changed' }] };
		throw error;
	}
}
