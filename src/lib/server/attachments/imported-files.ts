import type { Knex } from 'knex';
import { InputError } from '$lib/input/validate';
import type { ParsedLine } from '../formats/bank-file/parsed-lines';
import { smallOf } from './prepare';
import { hashOf, keepFile } from './store';

type FileLine = Extract<ParsedLine, { kind: 'file' }>;
type ChunkLine = Extract<ParsedLine, { kind: 'file-chunk' }>;

const refused = (path: string, message: string) => new InputError([{ path, message }]);

/** Files that come along with a bank: one after the other, each held against its hash before it is kept. */
export class ImportedFiles {
	private open: { line: FileLine; parts: Uint8Array[]; size: number } | null = null;

	constructor(private readonly tx: Knex) {}

	async begin(line: FileLine): Promise<void> {
		await this.end();
		this.open = { line, parts: [], size: 0 };
	}

	/** @throws InputError for a chunk that does not follow its file */
	add({ hash, n, content }: ChunkLine): void {
		if (this.open?.line.hash !== hash || n !== this.open.parts.length)
			throw refused('file-chunk', 'does not follow the file it is of');
		this.open.parts.push(content);
		this.open.size += content.length;
		if (this.open.size > this.open.line.bytes) throw refused('file-chunk', 'goes on beyond the size of its file');
	}

	/** Keeps the file that was brought last. @throws InputError when it is not what its hash says */
	async end(): Promise<void> {
		if (!this.open) return;
		const { line, parts } = this.open;
		this.open = null;
		const content = Buffer.concat(parts);
		if (content.length !== line.bytes || hashOf(content) !== line.hash)
			throw refused('file', `${line.hash.slice(0, 12)}… is not what its hash says: the file was changed or cut short`);
		const { mime, width, height } = line;
		const isPhoto = mime.startsWith('image/');
		const thumbnail = isPhoto ? await smallOf(content).catch(() => null) : null;
		if (isPhoto && !thumbnail) throw refused('file', `${line.hash.slice(0, 12)}… is no picture`);
		await keepFile({ mime, content, width, height, thumbnail }, this.tx);
	}
}
