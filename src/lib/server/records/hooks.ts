import type { Knex } from 'knex';
import type { Recorded } from '../db/repository';
import type { WriteAction, Fields } from './kind';

/**
 * What writing one kind of record must ask of the world and do to other kinds. A stage gives the hooks it is about; they run
 * beside the kind's own rules, all but the first four in the same transaction.
 */
export interface Hooks<Row extends Recorded = Recorded> {
	/** What must hold before one is made through the API. Throws. */
	beforeCreate?(body: Fields): Promise<void>;
	/** What the application itself adds to one that comes through the API. */
	adds?(body: Fields): Promise<Fields>;
	beforeChange?(id: number, body: Fields): Promise<void>;
	beforeRestore?(row: Row): Promise<void>;
	/** Fields of a new record that follow from other kinds. @param fields as they came in */
	prepare?(fields: never, tx: Knex): Promise<Fields>;
	/** What must hold of a record that is made, changed, brought back or brought in. Throws. @param before null when it is new */
	check?(row: Row, tx: Knex, before: Row | null): Promise<void>;
	/** What else has to be done with it. @param fields as they came in */
	after?(row: Row, tx: Knex, deed: WriteAction, fields: Fields): Promise<void>;
	/** Whether it may be taken out. Throws. */
	checkRemoval?(row: Row, tx: Knex): Promise<void>;
}
/** Hooks by the name of their kind. */
export type HooksByKind = Readonly<Record<string, Hooks>>;

export const defineHooks = <Row extends Recorded>(hooks: Hooks<Row>): Hooks => hooks as unknown as Hooks;

const given = new Map<string, readonly Hooks[]>();

/** Given once, where the server starts; hooks of one kind run in the order they are given. */
export function takeHooks(sets: readonly HooksByKind[]): void {
	given.clear();
	for (const set of sets)
		for (const [kind, hooks] of Object.entries(set)) given.set(kind, [...(given.get(kind) ?? []), hooks]);
}

export function hooksOf(kind: string): readonly Hooks[] {
	if (given.size === 0) throw new Error('No hook was given: import server/set-up before anything is written.');
	return given.get(kind) ?? [];
}
