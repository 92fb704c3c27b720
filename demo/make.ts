import type { Recorded } from '$lib/server/db/repository';
import { recordKind } from '$lib/server/records/registry';
import { createRecord } from '$lib/server/records/write';

/** Stores a record of the scenario as a person would. */
export const make = <Row extends Recorded = Recorded>(kind: string, body: object): Promise<Row> =>
	createRecord(recordKind(kind), body) as Promise<Row>;
