import { InputError } from '$lib/input/validate';
import { refuseHostile } from '$lib/input/plain';
import type { StoredSample } from '../../db/stored-sample';
import { checkHeader, type Plain } from './line';

/** A line of a bank's file, looked at as far as that goes without the others. Ids are still the file's own. */
export type ParsedLine =
	| { kind: 'header' }
	| { kind: 'record'; name: string; record: unknown }
	| { kind: 'run-samples'; runId: unknown; timeS: Float64Array; voltageV: Float64Array; currentA: Float64Array }
	| { kind: 'live-samples'; liveRunId: unknown; samples: StoredSample[] }
	| { kind: 'file'; hash: string; mime: string; bytes: number; width: number | null; height: number | null }
	| { kind: 'file-chunk'; hash: string; n: number; content: Uint8Array }
	| { kind: 'end' };

/** Samples of a line, at most. */
const MAX_SAMPLES = 20_000;

const refused = (path: string, message: string) => new InputError([{ path, message }]);

/**
 * Parses whole lines of a bank's file; empty ones are passed over.
 * @param bytes UTF-8
 * @param linesBefore how many lines of the file came before these; the very first must be its header
 * @throws InputError for the first line that cannot be one
 */
export function parsedLines(bytes: Uint8Array, linesBefore: number): ParsedLine[] {
	return new TextDecoder()
		.decode(bytes)
		.split('\n')
		.filter((text) => text.trim() !== '')
		.map((text, i) => parsedLine(text, linesBefore + i));
}

/** The buffers of parsed lines that can be handed over instead of being copied. */
export const buffersOf = (lines: readonly ParsedLine[]): ArrayBuffer[] =>
	lines.flatMap((line) =>
		line.kind === 'run-samples'
			? [line.timeS, line.voltageV, line.currentA].map((list) => list.buffer as ArrayBuffer)
			: []
	);

function parsedLine(text: string, index: number): ParsedLine {
	const line = plain(text, index);
	if (index === 0) {
		checkHeader(line);
		return { kind: 'header' };
	}
	if (line.kind === 'end') return { kind: 'end' };
	if (line.kind === 'run-samples') return runSamples(line);
	if (line.kind === 'live-samples') return liveSamples(line);
	if (line.kind === 'file') return file(line);
	if (line.kind === 'file-chunk') return fileChunk(line);
	return { kind: 'record', name: String(line.kind), record: line.record };
}

function plain(text: string, index: number): Plain {
	let value: unknown;
	try {
		value = JSON.parse(text);
	} catch {
		throw refused('', index === 0 ? 'This is no bank’s file' : `Line ${index + 1} of the file is not JSON`);
	}
	if (typeof value !== 'object' || value === null || Array.isArray(value))
		throw refused(index === 0 ? 'format' : '', 'This is no line of a bank’s file');
	refuseHostile(value, { text: 8_000_000 });
	return value as Plain;
}

function runSamples({ runId, timeS, voltageV, currentA }: Plain): ParsedLine {
	const lists = [timeS, voltageV, currentA] as number[][];
	const length = Array.isArray(timeS) ? timeS.length : -1;
	if (length > MAX_SAMPLES || !lists.every((l) => Array.isArray(l) && l.length === length && l.every(Number.isFinite)))
		throw refused('run-samples', `requires timeS, voltageV and currentA, numbers, of one length up to ${MAX_SAMPLES}`);
	if (lists[0]!.some((t, i) => i > 0 && t <= lists[0]![i - 1]!))
		throw refused('run-samples.timeS', 'requires rising times');
	return {
		kind: 'run-samples',
		runId,
		timeS: Float64Array.from(lists[0]!),
		voltageV: Float64Array.from(lists[1]!),
		currentA: Float64Array.from(lists[2]!)
	};
}

function liveSamples({ liveRunId, samples }: Plain): ParsedLine {
	if (!Array.isArray(samples) || samples.length > MAX_SAMPLES || !samples.every(isSample))
		throw refused('live-samples', `requires up to ${MAX_SAMPLES} samples as they are exported`);
	return { kind: 'live-samples', liveRunId, samples };
}

const HASH = /^[0-9a-f]{64}$/;
const MIME = /^(image\/webp|application\/pdf|text\/(plain|csv))$/;
const MAX_FILE_BYTES = 64 * 1024 * 1024;
const MAX_CHUNK_CHARACTERS = 1_400_000;

function file({ hash, mime, bytes, width, height }: Plain): ParsedLine {
	const size = (value: unknown) => value === null || (Number.isInteger(value) && (value as number) > 0);
	const isFile =
		HASH.test(String(hash)) &&
		MIME.test(String(mime)) &&
		Number.isInteger(bytes) &&
		(bytes as number) > 0 &&
		(bytes as number) <= MAX_FILE_BYTES &&
		size(width) &&
		size(height);
	if (!isFile) throw refused('file', 'requires hash, mime, bytes, width and height as they are exported');
	return { kind: 'file', hash, mime, bytes, width, height } as ParsedLine;
}

function fileChunk({ hash, n, base64 }: Plain): ParsedLine {
	const isChunk =
		HASH.test(String(hash)) &&
		Number.isInteger(n) &&
		typeof base64 === 'string' &&
		base64.length <= MAX_CHUNK_CHARACTERS &&
		/^[A-Za-z0-9+/]+=*$/.test(base64);
	if (!isChunk) throw refused('file-chunk', 'requires hash, n and base64 as they are exported');
	return { kind: 'file-chunk', hash: hash as string, n: n as number, content: Buffer.from(base64 as string, 'base64') };
}

const orNull = (value: unknown) => value === null || Number.isFinite(value);
function isSample(value: unknown): value is StoredSample {
	const s = (value ?? {}) as StoredSample;
	return (
		Number.isSafeInteger(s.atMs) &&
		Number.isInteger(s.phase) &&
		s.phase >= 0 &&
		s.phase < 256 &&
		Number.isFinite(s.currentA) &&
		[s.voltageV, s.cellV, s.temperatureC].every(orNull) &&
		(s.groupsV === null || (Array.isArray(s.groupsV) && s.groupsV.length <= 128 && s.groupsV.every(orNull)))
	);
}
