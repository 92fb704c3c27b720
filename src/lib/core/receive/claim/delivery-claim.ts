import { type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';

/** Seen or read, and sure at once: damage, older than promised, another kind than ordered, more resistance than promised. */
export type ClaimedDefect = 'damaged' | 'older' | 'other-kind' | 'resistance';
export type ClaimReason = 'stop' | 'short' | ClaimedDefect;

/** A cell of a delivery as it stands after all tests. */
export interface ClaimedCell {
	id: number;
	label: string;
	/** It must not be used: leak, swelling, deep discharge. */
	stopped: boolean;
	/** What is sure without a test; null or missing: nothing. */
	defect?: ClaimedDefect | null;
	/** Null: not tested. */
	capacity: { outcome: 'short' | 'meets' | 'unsure'; capacityAh: number; sdAh: number; wantedAh: number } | null;
}

export interface ClaimTerms {
	/** Of one cell, in the currency; null: not known. */
	cellPrice: number | null;
	/** Charge one cell was sold with, Ah. */
	soldAh: number | null;
	currency: string;
	/** Date by which it is told to the supplier; null: not known. */
	claimUntil: string | null;
}

/** A shortfall is claimed as far as it is sure at 95 %. */
const SURE_SDS = 1.645;

/** What a delivery comes to. Everything that cannot be told, and everything not tested, is no claim. */
export interface DeliveryClaim {
	good: number;
	toReturn: number;
	/** Of those: must not be used at all. */
	stopped: number;
	/** Of those: for what was seen or read, whatever they hold. */
	defects: number;
	cannotTell: number;
	untested: number;
	/** Sure at 95 % cell by cell, Ah; and in money at the price paid, null where that is not known. */
	shortAh: number;
	worth: number | null;
	/** What a cell is claimed for: null: nothing. */
	byCell: Map<number, { why: ClaimReason; shortAh: number } | null>;
}

/** Sums a delivery up: each cell good, to return, not to be told or not tested. */
export function claimOf(cells: readonly ClaimedCell[], { cellPrice, soldAh }: ClaimTerms): DeliveryClaim {
	const claim: DeliveryClaim = {
		good: 0,
		toReturn: 0,
		stopped: 0,
		defects: 0,
		cannotTell: 0,
		untested: 0,
		shortAh: 0,
		worth: null,
		byCell: new Map()
	};
	for (const { id, stopped, defect = null, capacity } of cells) {
		const isShort = capacity?.outcome === 'short';
		const shortAh = isShort ? Math.max(0, capacity.wantedAh - capacity.capacityAh - SURE_SDS * capacity.sdAh) : 0;
		if (stopped || isShort || defect) claim.toReturn++;
		else if (!capacity) claim.untested++;
		else if (capacity.outcome === 'unsure') claim.cannotTell++;
		else claim.good++;
		if (stopped) claim.stopped++;
		else claim.shortAh += shortAh;
		if (defect && !stopped) claim.defects++;
		const why = stopped ? 'stop' : isShort ? 'short' : defect;
		claim.byCell.set(id, why && { why, shortAh: stopped ? 0 : shortAh });
	}
	if (cellPrice !== null && soldAh !== null && soldAh > 0)
		claim.worth = (claim.shortAh / soldAh) * cellPrice + claim.stopped * cellPrice;
	return claim;
}

/** The delivery in one sentence; nothing is said of one of which nothing is tested and nothing stops. */
export function judgeClaim(claim: DeliveryClaim, terms: ClaimTerms, delivery: Subject): Verdict[] {
	const { good, toReturn, stopped, defects, cannotTell, untested, shortAh, worth } = claim;
	if (good + toReturn + cannotTell === 0) return [];
	const facts = {
		good,
		toReturn,
		stopped,
		defects,
		cannotTell,
		untested,
		shortAh,
		worth,
		currency: terms.currency,
		claimUntil: terms.claimUntil
	};
	// A cell that is short or must not be used has a verdict of its own: this one sums them up.
	return [say('delivery-claim', 'calm', delivery, facts)];
}
