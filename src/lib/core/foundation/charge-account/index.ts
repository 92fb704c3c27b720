export {
	type Bounds,
	type ChargeAccount,
	type ChargeDeed,
	type RestedAt,
	bothOf,
	chargeAt,
	chargeBefore,
	countedAh
} from './charge-account';
