import type { SizedBattery } from '$lib/core/plan/layouts';
import type { ShownInstrument } from '$lib/components/instruments/instrument-choice';
import type { PictureBank, PictureCell, PictureCellType, PictureDelivery, PictureModule } from '$lib/core/picture';
import type { Settings } from '$lib/core/foundation/units';
import type { OrderTerms } from '$lib/input/order-terms';
import type { StageVerdict } from '$lib/core/foundation/verdicts';

/** A cell of a delivery as the views of Receive draw it. */
export type ShownCell = Pick<
	PictureCell,
	'id' | 'label' | 'plusTurned' | 'readings' | 'code' | 'printedMonth' | 'inspection'
>;

/** Cells that were ordered and have not come yet. */
export interface OpenOrder extends OrderTerms {
	id: number;
	version: number;
	name: string;
	cellCount?: number | null;
}

/** A module a delivery came as, with how many of its cells are here. */
export interface ShownModule {
	number: number;
	label: string;
	cells: number;
	record: PictureModule | null;
}

/** What the page of Receive is given. */
export interface ReceiveData {
	overview: {
		bank: PictureBank;
		batteries: readonly SizedBattery[];
		cellType: (PictureCellType & { id: number }) | null;
	};
	/** Orders that have not come yet, and what the plan knows of one that is to be written down. */
	orders: OpenOrder[];
	plannedOrder: OrderTerms & { name: string; cellCount: number | null };
	trays: { delivery: PictureDelivery; cells: ShownCell[]; modules: ShownModule[] }[];
	instruments: ShownInstrument[];
	currency: string;
	settings: Settings;
	verdicts: StageVerdict[];
}
