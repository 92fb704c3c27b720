export { CLAIM_DAYS, claimUntilOf, testsAgainstClaims, type LateTests, type WaitingForTest } from './claim-deadline';
export {
	claimOf,
	judgeClaim,
	type ClaimReason,
	type ClaimTerms,
	type ClaimedCell,
	type ClaimedDefect,
	type DeliveryClaim
} from './delivery-claim';
