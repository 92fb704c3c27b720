import { OrderTerms } from '$lib/input/order-terms';
import { Maybe, Text, Whole } from '$lib/input/fields';

/** Cells that were ordered and have not come yet; or came as a delivery. */
export class OrderInput extends OrderTerms {
	@Whole(1, 2 ** 31) bankId!: number;
	@Text(80, 1) name!: string;
	@Maybe() @Whole(1, 2000) cellCount?: number | null;
}

export class StoredOrderInput extends OrderInput {
	@Maybe() @Whole(1, 2 ** 31) deliveryId?: number | null;
}
