import { ClientKey, Maybe, Num, Text, When, Whole } from '$lib/input/fields';

/** Ampere-hours by the charger’s counter and by the load’s, between the same two ends of charge. */
export class ChargeCountInput {
	@Whole(1, 2 ** 31) batteryId!: number;
	@When() countedAt!: string;
	@Num(0.01, 100_000) chargedAh!: number;
	@Num(0.01, 100_000) dischargedAh!: number;
	@Maybe() @Text(4000) notes?: string | null;
	@Maybe() @ClientKey() clientKey?: string;
}
