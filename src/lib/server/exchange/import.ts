import type { Knex } from 'knex';
import PQueue from 'p-queue';
import type { SubjectKind } from '$lib/core/foundation/verdicts';
import { InputError, validated } from '$lib/input/validate';
import { ImportedFiles } from '../attachments/imported-files';
import { database } from '../db/connection';
import { ServiceError } from '../errors';
import { insertLiveSamples } from '../db/live-samples';
import { insertRunSamples } from '../db/run-samples';
import { checkHeader, type Plain } from '../formats/bank-file/line';
import type { ParsedLine } from '../formats/bank-file/parsed-lines';
import { banks, rehearsals, type Bank, type LiveRun, type Rehearsal } from '../records';
import { layOut } from '../stages/build/lay-out';
import { afterWrite, checkRecord } from '../records/rules';
import { noteCause } from '../records/causes';
import type { Fields, RecordKind } from '../records/kind';
import { RECORD_KINDS } from '../records/registry';
import { recordOfSubject } from '../records/subject-kinds';
import { oneAtATime } from '../one-at-a-time';
import { firstFormatLines, parsedOnThread } from '../threads/bank-file';

/** Records of these kinds stand for nobody else and are stored many a statement. */
const isLeaf = (kind: RecordKind) =>
	!kind.check &&
	!kind.after &&
	!RECORD_KINDS.some((k) => Object.values(k.parents).some((p) => p.startsWith(kind.name)));
const A_STATEMENT = 500;

/**
 * Samples of all imports are stored one line after the other, so that the database has time for everybody else. They touch
 * rows of their own import alone: whoever waits here stands in nobody's way.
 */
const inTurn = oneAtATime();

const refused = (path: string, message: string) => new InputError([{ path, message }]);

/** Brings the lines of one bank's file in, under new ids. */
class BankImport {
	private readonly ids = new Map<string, Map<number, number>>();
	private readonly counts = new Map<string, number>();
	private waiting: { kind: RecordKind; rows: Plain[] } | null = null;
	private bank: Bank | null = null;
	private lines = 0;
	private ended = false;

	private readonly files: ImportedFiles;

	constructor(private readonly tx: Knex) {
		this.files = new ImportedFiles(tx);
	}

	async take(line: ParsedLine): Promise<void> {
		this.lines++;
		if (this.ended) throw refused('', 'The file goes on after its last line');
		switch (line.kind) {
			case 'header':
				return;
			case 'end':
				return void (this.ended = true);
			case 'record':
				return this.takeRecord(line.name, line.record);
			case 'file':
				return this.files.begin(line);
			case 'file-chunk':
				return this.files.add(line);
			case 'run-samples': {
				const runId = this.idOf('runs', line.runId, 'run-samples.runId');
				return inTurn(() => insertRunSamples(runId, line, this.tx));
			}
			case 'live-samples': {
				const liveRunId = this.idOf('live-runs', line.liveRunId, 'live-samples.liveRunId');
				return inTurn(() => insertLiveSamples(liveRunId, line.samples, this.tx));
			}
		}
	}

	/** @param whole the file must say that it is; one of the first format has no last line. @returns the new bank */
	async finish(whole: boolean): Promise<Bank> {
		if (this.lines === 0) checkHeader(null);
		if (whole && !this.ended) throw refused('', 'The file ends before its last line: it was cut short');
		await this.flush();
		await this.files.end();
		if (!this.bank) throw refused('bank', 'The file holds no bank');
		await layOut(this.bank, this.tx);
		await noteCause([this.bank.id], { kind: 'banks', recordId: this.bank.id, deed: 'import' }, this.tx);
		return banks.get(this.bank.id, this.tx);
	}

	private idOf(kind: string, from: unknown, path: string): number {
		const to = this.ids.get(kind)?.get(from as number);
		if (to === undefined)
			throw refused(path, `refers to ${kind} ${String(from).slice(0, 40)}, which is not in the file`);
		return to;
	}

	private async takeRecord(name: string, record: unknown): Promise<void> {
		await this.files.end();
		const kind = RECORD_KINDS.find((k) => k.name === name && (k.archivedWith !== null || ROOTS.has(k.name)));
		const count = this.counts.get(name) ?? 0;
		const path = `${name}.${count}`;
		if (!kind) throw refused('kind', `there is no kind of record "${name.slice(0, 40)}" in a bank’s file`);
		if (typeof record !== 'object' || record === null || Array.isArray(record))
			throw refused(path, 'requires a record');
		if (kind.name === 'banks' && this.bank) throw refused(path, 'a file holds one bank');
		this.counts.set(name, count + 1);
		const { id, ...fields } = record as Plain;
		await this.store(kind, id, this.resolved(kind, checked(kind, fields, path), path), path);
	}

	/** References by the file's ids become ours. */
	private resolved(kind: RecordKind, fields: Plain, path: string): Plain {
		const own = { ...fields };
		for (const [field, name] of Object.entries(kind.parents)) {
			if (own[field] === null || own[field] === undefined) continue;
			own[field] = this.idOf(name.replace(/\?$/, ''), own[field], `${path}.${field}`);
		}
		if (kind.names) {
			const { kindField, idField } = kind.names;
			const { name, recordId, rest } = recordOfSubject(own[kindField] as SubjectKind, String(own[idField]));
			own[idField] = `${this.idOf(name, recordId, `${path}.${idField}`)}${rest}`;
		}
		return adapted(kind, own);
	}

	private async store(kind: RecordKind, fileId: unknown, fields: Plain, path: string): Promise<void> {
		if (isLeaf(kind)) return this.queue(kind, fields);
		await this.flush();
		try {
			const stored = await kindly(kind, fields, this.tx);
			if (!this.ids.has(kind.name)) this.ids.set(kind.name, new Map());
			this.ids.get(kind.name)!.set(fileId as number, stored.id);
			if (kind.name === 'banks') this.bank = stored as Bank;
		} catch (error) {
			throw error instanceof InputError ? under(path, error) : error;
		}
	}

	private async queue(kind: RecordKind, fields: Plain): Promise<void> {
		if (this.waiting?.kind !== kind) await this.flush();
		this.waiting ??= { kind, rows: [] };
		this.waiting.rows.push(fields);
		if (this.waiting.rows.length >= A_STATEMENT) await this.flush();
	}

	private async flush(): Promise<void> {
		const waiting = this.waiting;
		this.waiting = null;
		if (waiting) await waiting.kind.repository.insertMany(waiting.rows, this.tx);
	}
}

/** Kinds a file begins with. */
const ROOTS = new Set(['cell-types', 'banks']);

const under = (path: string, error: InputError) =>
	new InputError(error.faults.map((f) => ({ ...f, path: f.path ? `${path}.${f.path}` : path })));

/** Fields of a stored record checked as if typed in. */
function checked(kind: RecordKind, fields: Plain, path: string): Plain {
	try {
		return { ...validated(kind.storedInput ?? kind.changeInput!, fields) } as unknown as Plain;
	} catch (error) {
		throw error instanceof InputError ? under(path, error) : error;
	}
}

/** What cannot be taken along as it is. */
function adapted(kind: RecordKind, fields: Plain): Plain {
	const { clientKey: _, ...own } = fields;
	if (kind.name !== 'live-runs') return own;
	// Its instruments are in the address book it came from; a run that went on there has ended here.
	const run = own as unknown as LiveRun;
	return {
		...own,
		state: 'ended',
		endedBy: run.endedBy ?? 'Went on elsewhere when its bank was taken along.',
		instruments: run.instruments.map((i) => ({ ...i, id: 0 }))
	};
}

/** Fields as their kind stores them, its rules held and what follows from it done. */
async function kindly(kind: RecordKind, fields: Plain, tx: Knex) {
	const derived = (await kind.derive?.(fields as Fields, fields as never, tx)) ?? {};
	const renamed = kind.name === 'rehearsals' ? await apart(fields as unknown as Rehearsal, tx) : fields;
	const row = await kind.repository.insert({ ...renamed, ...onlyLeftOut(derived) }, tx);
	await checkRecord(kind, row, tx, null);
	await afterWrite(kind, row, tx, 'import', fields);
	return row;
}

/** A change’s derivation also names what a record does not keep; only that is wanted here. */
const onlyLeftOut = (derived: Fields): Fields =>
	Object.fromEntries(Object.entries(derived).filter(([, value]) => value === undefined));

/** Two rehearsals of one scenario are told apart on the bench by their names. */
async function apart(rehearsal: Rehearsal, tx: Knex): Promise<Plain> {
	const taken = new Set((await rehearsals.all({}, tx)).map((r) => r.scenario.name));
	let name = rehearsal.scenario.name;
	for (let n = 2; taken.has(name); n++) name = `${rehearsal.scenario.name.replace(/ \(\d+\)$/, '')} (${n})`;
	const saved = rehearsal.saved === null ? null : JSON.parse(rehearsal.saved);
	if (saved?.scenario) saved.scenario.name = name;
	return {
		...rehearsal,
		scenario: { ...rehearsal.scenario, name },
		saved: saved === null ? null : JSON.stringify(saved)
	} as unknown as Plain;
}

/** Each takes a connection for as long as it lasts: the others are for pages. */
const ways = new PQueue({ concurrency: 3 });

/**
 * Builds the bank of a file again, under new ids, all or nothing; waits where others are at it.
 * @param whole the file has a last line that says so
 */
const importLines = (lines: AsyncIterable<ParsedLine>, whole: boolean, signal: AbortSignal): Promise<Bank> =>
	ways.add(
		() => {
			if (signal.aborted) throw new ServiceError(409, 'cancelled', 'The import was cancelled. Nothing was stored.');
			return database().transaction(
				async (tx) => {
					const bringing = new BankImport(tx);
					for await (const line of lines) await bringing.take(line);
					return bringing.finish(whole);
				},
				{ isolationLevel: 'read committed' }
			);
		},
		{ throwOnTimeout: true }
	);

/** A file of a line a record, as it comes, parsed on a thread. @returns the new bank */
export const importBankFile = (chunks: AsyncIterable<Uint8Array>, signal: AbortSignal): Promise<Bank> =>
	importLines(parsedOnThread(chunks, signal), true, signal);

/** A file of the first format, one JSON object, read on a thread. @returns the new bank */
export async function importFirstFormat(bytes: Uint8Array<ArrayBuffer>, signal: AbortSignal): Promise<Bank> {
	return importLines(parsedOnThread(await firstFormatLines(bytes, signal), signal), false, signal);
}
