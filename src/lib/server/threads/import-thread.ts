import 'reflect-metadata';
import { move, transferableSymbol, valueSymbol } from 'piscina';
import { InputError } from '$lib/input/validate';
import { stepBack } from '$lib/workers/step-back';
import type { ThreadAnswer } from '$lib/workers/thread-answer';
import { checkFirstFormat, linesOfFirstFormat } from '../formats/bank-file/first-format';
import { buffersOf, parsedLines, type ParsedLine } from '../formats/bank-file/parsed-lines';

stepBack();

export type ImportWork =
	| { what: 'first-format'; bytes: Uint8Array<ArrayBuffer> }
	| { what: 'lines'; bytes: Uint8Array<ArrayBuffer>; linesBefore: number };

/** A file of the first format as lines, in pieces of bytes; whole lines parsed; or what is wrong with them. */
export type ImportAnswer =
	| { kind: 'pieces'; pieces: Uint8Array[] }
	| { kind: 'lines'; lines: ParsedLine[] }
	| { kind: 'refused'; faults: InputError['faults'] };

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

/** Server-side thread: bytes of a bank's file in, what they say out. */
export default (work: ImportWork): ThreadAnswer<ImportAnswer> => {
	const answer: ThreadAnswer<ImportAnswer> = { kind: 'result', result: done(work) };
	const transfer = answer.result.kind === 'lines' ? buffersOf(answer.result.lines) : [];
	return transfer.length ? handedOver(answer, transfer) : answer;
};

/** An answer whose buffers go over instead of being copied; the other side gets the answer itself. */
const handedOver = (answer: ThreadAnswer<ImportAnswer>, transfer: ArrayBuffer[]): ThreadAnswer<ImportAnswer> =>
	move({ [transferableSymbol]: transfer, [valueSymbol]: answer } as never) as never;

function done(work: ImportWork): ImportAnswer {
	try {
		if (work.what === 'lines') return { kind: 'lines', lines: parsedLines(work.bytes, work.linesBefore) };
		return { kind: 'pieces', pieces: piecesOf(JSON.parse(new TextDecoder().decode(work.bytes))) };
	} catch (error) {
		if (error instanceof InputError) return { kind: 'refused', faults: error.faults };
		if (error instanceof SyntaxError)
			return { kind: 'refused', faults: [{ path: '', message: 'The file is not JSON: it was cut short or changed' }] };
		throw error;
	}
}
