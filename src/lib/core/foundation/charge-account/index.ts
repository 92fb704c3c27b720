export {
	type Bounds,
	type ChargeAccount,
	type ChargeMovement,
	type RestedAt,
	bothOf,
	chargeAt,
	chargeBefore,
	countedAh
} from './charge-account';
