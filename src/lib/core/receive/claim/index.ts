export { CLAIM_DAYS, type WaitingForTest, claimUntilOf, testsAgainstClaims } from './claim-deadline';
export {
	type ClaimReason,
	type ClaimTerms,
	type ClaimedCell,
	type ClaimedDefect,
	claimOf,
	judgeClaim
} from './delivery-claim';
