/** How a maker promises a capacity. */
export const CLAUSE_KINDS = ['minimum', 'nominal', 'typical'] as const;

export type ClauseKind = (typeof CLAUSE_KINDS)[number];

/** A promised capacity and how it is measured; null: the sheet says nothing, and what is usual holds. */
export interface Clause {
	kind: ClauseKind;
	capacityAh: number;
	chargeV: number | null;
	/** The charge ends when the current has fallen to this. */
	tailCRate: number | null;
	restH: number | null;
	dischargeCRate: number | null;
	cutoffV: number | null;
	temperatureC: number | null;
}
