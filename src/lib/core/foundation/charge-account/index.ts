export {
	bothOf,
	chargeAt,
	chargeBefore,
	countedAh,
	type Bounds,
	type ChargeAccount,
	type ChargeDeed,
	type ChargeHistory,
	type RestedAt
} from './charge-account';
