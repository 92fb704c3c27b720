import { OrderTerms } from '$lib/input/order-terms';
import { Maybe, Text, When, Whole, YesNo } from '$lib/input/fields';

export class DeliveryInput extends OrderTerms {
	/** The bank it was ordered for; its cells are candidates there. Without one they go to the stock. */
	@Maybe() @Whole(1, 2 ** 31) bankId?: number | null;
	@Text(80, 1) name!: string;
	@When() receivedOn!: string;
	/** It came as modules of so many groups in series, with so many cells side by side in each; null: single cells. */
	@Maybe() @Whole(1, 400) moduleSeries?: number | null;
	@Maybe() @Whole(1, 400) moduleParallel?: number | null;
}

/** A new delivery unpacks its cells at once. */
export class NewDeliveryInput extends DeliveryInput {
	@Whole(1, 2000) cellCount!: number;
	@Text(12, 1) labelPrefix: string = 'C';
	@Maybe() @Text(60) batch?: string | null;
	/** The order it came of: what was written down there is taken over where nothing else is sent. */
	@Maybe() @Whole(1, 2 ** 31) orderId?: number | null;
}

export class StoredDeliveryInput extends DeliveryInput {
	@Maybe() @YesNo() rehearsal?: boolean;
}
