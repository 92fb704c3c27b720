import type { Knex } from 'knex';
import { SUBJECT_KINDS, type SubjectKind } from '$lib/core/foundation/verdicts';
import { chunksOf, storedFile } from '../attachments/store';
import { readLiveSamples } from '../db/live-samples';
import { database } from '../db/connection';
import { readRunSamplesFrom } from '../db/run-samples';
import { ServiceError } from '../errors';
import { FORMAT_NAME, FORMAT_VERSION, type FileLine, type Plain } from '../formats/bank-file/line';
import { toCsv } from '../formats/csv';
import { banks } from '../records';
import type { RecordKind } from '../records/kind';
import { RECORD_KINDS, recordKind } from '../records/registry';
import { RECORDS_OF_SUBJECTS, recordOfSubject } from '../records/subject-kinds';

const BOOKKEEPING = ['version', 'createdAt', 'updatedAt', 'deletedAt'];

function bare(row: object, kind: RecordKind): Plain {
	const left = new Set([...BOOKKEEPING, ...(kind.leftOut ?? [])]);
	return Object.fromEntries(Object.entries(row).filter(([k]) => !left.has(k)));
}

/** Cells with a history in a bank: placed there once, or considered for it. */
async function cellsWithHistory(bankId: number, tx: Knex): Promise<number[]> {
	return tx('candidates')
		.where({ bank_id: bankId, deleted_at: null })
		.select('cell_id')
		.union(tx('placed').where({ bank_id: bankId, deleted_at: null }).select('cell_id'))
		.then((rows: { cell_id: number }[]) => rows.map((r) => r.cell_id));
}

/** Ids of what goes into a bank's file, by kind. */
type Chosen = Map<string, Set<number>>;

async function roots(bankId: number, tx: Knex): Promise<Chosen> {
	const bank = await banks.get(bankId, tx);
	const cellIds = await cellsWithHistory(bankId, tx);
	const live = await tx('cells')
		.join('deliveries', 'deliveries.id', 'cells.delivery_id')
		.whereIn('cells.id', cellIds)
		.whereNull('cells.deleted_at')
		.whereNull('deliveries.deleted_at')
		.select('cells.id', 'cells.delivery_id');
	return new Map([
		['cell-types', new Set(bank.cellTypeId === null ? [] : [bank.cellTypeId])],
		['banks', new Set([bankId])],
		['deliveries', new Set(live.map((c: { delivery_id: number }) => c.delivery_id))],
		['cells', new Set(live.map((c: { id: number }) => c.id))]
	]);
}

/** Rows of a kind that belong to what was chosen of its parents; a reference to anything else is let go. */
async function chosenRows(kind: RecordKind, chosen: Chosen, tx: Knex): Promise<Plain[]> {
	const own = chosen.get(kind.name);
	if (kind.archivedWith === 'its-subject') return rowsOfSubjects(kind, chosen, tx);
	const owner = kind.archivedWith;
	const ids = own ?? (owner ? chosen.get(parentKind(kind, owner)) : undefined);
	if (!ids || ids.size === 0) return [];
	const rows = await kind.repository.all({ [own ? 'id' : owner!]: [...ids] }, tx);
	return rows.map((row) => bare(row, kind)).filter((row) => keepReferences(row, kind, chosen));
}

/** Records that name one of what was chosen. */
async function rowsOfSubjects(kind: RecordKind, chosen: Chosen, tx: Knex): Promise<Plain[]> {
	const { kindField, idField } = kind.names!;
	const own = await Promise.all(
		SUBJECT_KINDS.map(async (subject) => {
			const ids = chosen.get(RECORDS_OF_SUBJECTS[subject]);
			if (!ids?.size || subject === 'joint' || subject === 'lead') return [];
			return kind.repository.all({ [kindField]: subject, [idField]: [...ids] }, tx);
		})
	);
	return own.flat().map((row) => bare(row, kind));
}

/** A file by its hash: what it is, then its bytes. */
async function* linesOfFile(hash: string, tx: Knex): AsyncGenerator<FileLine> {
	const { mime, bytes, width, height } = await storedFile(hash, tx);
	yield { kind: 'file', hash, mime, bytes, width, height };
	let n = 0;
	for await (const chunk of chunksOf(hash, tx))
		yield { kind: 'file-chunk', hash, n: n++, base64: chunk.toString('base64') };
}

const parentKind = (kind: RecordKind, field: string) => kind.parents[field]!.replace(/\?$/, '');

/** Lets go of loose references to what stays behind. @returns whether the record can do without the others */
function keepReferences(row: Plain, kind: RecordKind, chosen: Chosen): boolean {
	if (kind.names) {
		const subject = recordOfSubject(row[kind.names.kindField] as SubjectKind, String(row[kind.names.idField]));
		if (!chosen.get(subject.name)?.has(subject.recordId)) return false;
	}
	for (const [field, name] of Object.entries(kind.parents)) {
		if (row[field] === null || row[field] === undefined) continue;
		if (chosen.get(parentKind(kind, field))?.has(row[field] as number)) continue;
		if (!name.endsWith('?')) return false;
		row[field] = null;
	}
	return true;
}

/** Samples a line. */
const A_LINE = 2000;

async function* samplesOfRun(runId: number, tx: Knex): AsyncGenerator<FileLine> {
	let after = -Infinity;
	for (;;) {
		const { timeS, voltageV, currentA } = await readRunSamplesFrom(runId, after, A_LINE, tx);
		if (timeS.length === 0) return;
		yield { kind: 'run-samples', runId, timeS, voltageV, currentA };
		after = timeS[timeS.length - 1]!;
	}
}

async function* samplesOfLiveRun(liveRunId: number, tx: Knex): AsyncGenerator<FileLine> {
	let afterMs = -1;
	for (;;) {
		const samples = await readLiveSamples(liveRunId, { afterMs, most: A_LINE }, tx);
		const last = samples.at(-1);
		if (!last) return;
		yield { kind: 'live-samples', liveRunId, samples: samples as unknown as Plain[] };
		afterMs = last.atMs;
	}
}

async function* recordLines(bankId: number, tx: Knex): AsyncGenerator<FileLine> {
	const chosen = await roots(bankId, tx);
	for (const kind of RECORD_KINDS) {
		const rows = await chosenRows(kind, chosen, tx);
		chosen.set(kind.name, new Set(rows.map((row) => row.id as number)));
		if (kind.name === 'attachments')
			for (const hash of new Set(rows.map((row) => row.hash as string))) yield* linesOfFile(hash, tx);
		for (const record of rows) yield { kind: kind.name, record };
		if (kind.name === 'runs') for (const row of rows) yield* samplesOfRun(row.id as number, tx);
		if (kind.name === 'live-runs') for (const row of rows) yield* samplesOfLiveRun(row.id as number, tx);
	}
}

/** The whole record of a bank, a line a record, as it stood when the first line was read. @throws ServiceError 404 before the first */
export async function* bankFile(bankId: number, nowIso = new Date().toISOString()): AsyncGenerator<string> {
	const tx = await database().transaction({ isolationLevel: 'repeatable read' });
	try {
		await banks.get(bankId, tx);
		const header: FileLine = { format: FORMAT_NAME, formatVersion: FORMAT_VERSION, exportedAt: nowIso };
		yield JSON.stringify(header);
		let lines = 1;
		for await (const line of recordLines(bankId, tx)) {
			yield JSON.stringify(line);
			lines++;
		}
		yield JSON.stringify({ kind: 'end', lines } satisfies FileLine);
	} finally {
		await tx.rollback();
	}
}

/** Text in pieces of about so many characters: a line at a time would cost more than it carries. */
const PIECE = 64 * 1024;

/** A bank's file as bytes; read only as fast as they are taken. */
export async function bankFileStream(bankId: number): Promise<ReadableStream<Uint8Array>> {
	await banks.get(bankId);
	const lines = bankFile(bankId);
	const encoder = new TextEncoder();
	return new ReadableStream({
		async pull(controller) {
			let text = '';
			while (text.length < PIECE) {
				const { done, value } = await lines.next();
				if (done) {
					if (text) controller.enqueue(encoder.encode(text));
					return controller.close();
				}
				text += `${value}\n`;
			}
			controller.enqueue(encoder.encode(text));
		},
		cancel: async () => void (await lines.return(undefined))
	});
}

const camel = (name: string) => name.replace(/-([a-z])/g, (_, c: string) => c.toUpperCase());
const TABLES = new Map(RECORD_KINDS.filter((k) => k.columns !== null).map((k) => [camel(k.name), k.name]));

/** The tables of a bank that can be had as CSV. */
export const CSV_TABLES = [...TABLES.keys()];

/** One table of a bank as CSV text. @throws ServiceError 404 for an unknown table or bank */
export async function exportTable(bankId: number, table: string): Promise<string> {
	const name = TABLES.get(table);
	if (!name)
		throw new ServiceError(
			404,
			'not-found',
			`There is no table "${table.slice(0, 60)}". The tables are: ${CSV_TABLES.join(', ')}.`
		);
	const wanted = recordKind(name);
	return database().transaction(
		async (tx) => {
			const chosen = await roots(bankId, tx);
			for (const kind of RECORD_KINDS) {
				if (kind === wanted) return toCsv(await csvRows(kind, chosen, tx), kind.columns!);
				// Only what others hang on is looked up on the way.
				const rows = isAbove(kind, wanted) ? await chosenRows(kind, chosen, tx) : [];
				chosen.set(kind.name, new Set(rows.map((row) => row.id as number)));
			}
			return '';
		},
		{ isolationLevel: 'repeatable read' }
	);
}

const isAbove = (kind: RecordKind, below: RecordKind): boolean =>
	Object.values(below.parents).some((name) => {
		const parent = recordKind(name.replace(/\?$/, ''));
		return parent === kind || isAbove(kind, parent);
	});

async function csvRows(kind: RecordKind, chosen: Chosen, tx: Knex): Promise<object[]> {
	const rows = await chosenRows(kind, chosen, tx);
	if (rows.length === 0 || !kind.leftOut) return rows;
	// A table shows what follows from a record too.
	return kind.repository.all({ id: rows.map((row) => row.id as number) }, tx);
}
