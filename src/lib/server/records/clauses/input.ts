import { CLAUSE_KINDS, type ClauseKind } from '$lib/core/picture';
import { Maybe, Num, OneOf, Text, Whole } from '$lib/input/fields';

/** What a maker promises of a cell type, and how it is to be measured. */
export class ClauseInput {
	@Whole(1, 2 ** 31) cellTypeId!: number;
	@OneOf(CLAUSE_KINDS) kind!: ClauseKind;
	@Num(0.1, 10_000) capacityAh!: number;
	@Maybe() @Num(0.5, 5) chargeV?: number | null;
	@Maybe() @Num(0.0001, 1) tailCRate?: number | null;
	@Maybe() @Num(0, 100) restH?: number | null;
	@Maybe() @Num(0.01, 20) dischargeCRate?: number | null;
	@Maybe() @Num(0.5, 5) cutoffV?: number | null;
	@Maybe() @Num(-40, 80) temperatureC?: number | null;
	@Maybe() @Text(200) source?: string | null;
}
