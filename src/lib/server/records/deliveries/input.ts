import { Maybe, Text, When, Whole, YesNo } from '$lib/input/fields';

export class DeliveryInput {
	/** The bank it was ordered for; its cells are candidates there. Without one they go to the stock. */
	@Maybe() @Whole(1, 2 ** 31) bankId?: number | null;
	@Text(80, 1) name!: string;
	@When() receivedOn!: string;
	@Maybe() @Text(80) supplier?: string | null;
	@Maybe() @Text(4000) notes?: string | null;
}

/** A new delivery unpacks its cells at once. */
export class NewDeliveryInput extends DeliveryInput {
	@Whole(1, 2000) cellCount!: number;
	@Text(12, 1) labelPrefix: string = 'C';
	@Maybe() @Text(60) batch?: string | null;
}

export class StoredDeliveryInput extends DeliveryInput {
	@Maybe() @YesNo() rehearsal?: boolean;
}
