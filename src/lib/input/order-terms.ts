import { CLAUSE_KINDS, TERMINAL_KINDS, type ClauseKind, type TerminalKind } from '$lib/core/picture';
import { Maybe, Num, OneOf, Text, When, YesNo } from './fields';

/** What was ordered, for what, and what was promised of it. */
export class OrderTerms {
	@Maybe() @Text(80) supplier?: string | null;
	@Maybe() @Text(4000) notes?: string | null;
	@Maybe() @When() orderedOn?: string | null;
	@Maybe() @When() promisedOn?: string | null;
	/** Of one cell, and of the whole delivery, in the currency of the settings. */
	@Maybe() @Num(0, 1_000_000) cellPrice?: number | null;
	@Maybe() @Num(0, 1_000_000) shipping?: number | null;
	@Maybe() @Text(40) promisedGrade?: string | null;
	@Maybe() @OneOf(TERMINAL_KINDS) promisedTerminals?: TerminalKind | null;
	@Maybe() @Num(0.1, 10_000) promisedAh?: number | null;
	@Maybe() @OneOf(CLAUSE_KINDS) promisedClause?: ClauseKind | null;
	@Maybe() @Num(0.0001, 1000) promisedResistanceMohm?: number | null;
	/** The person’s own line for the grade it was sold as: at least so much capacity, at most so much resistance. */
	@Maybe() @Num(0.1, 10_000) gradeCapacityAh?: number | null;
	@Maybe() @Num(0.0001, 1000) gradeResistanceMohm?: number | null;
	/** Made on this day or later. */
	@Maybe() @When() promisedProducedOn?: string | null;
	/** Days after arrival in which a defect is told to the supplier. */
	@Maybe() @Num(0, 10_000) claimDays?: number | null;
	@Maybe() @YesNo() used?: boolean | null;
}
