import type { InstrumentKind } from '$lib/core/foundation/reading';

export interface ShownInstrument {
	id: number;
	name: string;
	kind: InstrumentKind;
	bundled: boolean;
	connected: boolean;
	trouble: string | null;
}

/** Those of a kind that fit a bank: simulated ones for a rehearsal, others for real cells. */
export const fitting = (all: readonly ShownInstrument[], kind: InstrumentKind, rehearsal: boolean): ShownInstrument[] =>
	all.filter((i) => i.kind === kind && i.bundled === rehearsal);
