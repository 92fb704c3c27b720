import type { Knex } from 'knex';
import type { InputClass } from '$lib/input/validate';
import type { Recorded, Repository } from '../db/repository';

/** Stored records: the input with every optional field present (null when missing), and what all records carry. */
export type Stored<T> = {
	[K in keyof T]-?: undefined extends T[K] ? Exclude<T[K], undefined> | null : T[K];
} & Recorded;

export type Fields = Record<string, unknown>;
export type WriteAction = 'create' | 'change' | 'remove' | 'restore' | 'import';

/**
 * One kind of record: what comes in, where it is kept, what must hold of it, who it belongs to, how it is taken along. The
 * API, its description, export, import, CSV and clearing are made from it.
 */
export interface RecordKind<Row extends Recorded = Recorded> {
	/** Plural path name, e.g. `cell-types`. */
	name: string;
	repository: Repository<Row>;
	/** What a new one is made from, and what of it can be changed; null: made by the application itself, to be read only. */
	createInput: InputClass<object> | null;
	changeInput: InputClass<object> | null;
	/** What a record in a bank file must be; as it can be changed when missing. */
	storedInput?: InputClass<object>;
	/**
	 * Fields that name another record, and its kind. It must be there at every write, and what it belongs to in turn; with `?`
	 * only when it is named anew.
	 */
	parents: Readonly<Record<string, string>>;
	/** It names a record of any kind: the field that says which kind of subject, and the one with its id. */
	names?: { kindField: string; idField: string };
	/** Names under which a parent may come along in the same request, new or changed, and the field that then names it. */
	sentAlong?: Readonly<Record<string, string>>;
	/** Fields a list may be filtered by. */
	filters: readonly string[];
	/** Columns of its CSV table; null: it has none. */
	columns: readonly string[] | null;
	/** A phone may send it twice: `clientKey` is taken. */
	keyed?: boolean;
	/** Not under the general addresses of the API. */
	hidden?: boolean;
	/** The parent whose records it goes along with in a bank's file, or `its-subject` that it names; null: it stays behind. */
	archivedWith: string | null;
	/** Fields that follow from others and are not taken along. */
	leftOut?: readonly string[];
	/** Fields of a new record as they are stored. */
	prepare?(fields: never, tx: Knex): Promise<Fields>;
	/** Fields that follow from a change, added to it. May take fields out of it by setting them undefined. */
	derive?(changes: Fields, current: Row, tx: Knex): Promise<Fields>;
	/** What must hold of a record that is made, changed, brought back or brought in. Throws. @param before null when it is new */
	check?(row: Row, tx: Knex, before: Row | null): Promise<void>;
	/** What else has to be done with it, in the same transaction. @param fields as they came in */
	after?(row: Row, tx: Knex, deed: WriteAction, fields: Fields): Promise<void>;
	/** What one is called where it was taken out and may be brought back; missing: it is not offered there. */
	called?(row: Row): string;
	/** Whether it may be taken out. Throws. */
	checkRemoval?(row: Row, tx: Knex): Promise<void>;
	/** Banks that are judged by it. */
	banksOf(row: Row, tx: Knex): Promise<readonly number[]>;
}

/** A kind as the registry keeps it: whatever its rows are. */
export const defineKind = <Row extends Recorded>(kind: RecordKind<Row>): RecordKind => kind as unknown as RecordKind;
