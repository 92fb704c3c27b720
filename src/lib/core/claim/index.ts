export { claimOf, judgeClaim, type ClaimTerms, type ClaimedCell, type DeliveryClaim } from './delivery-claim';
