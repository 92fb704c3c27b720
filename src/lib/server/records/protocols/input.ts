import { ClientKey, Maybe, Num, Text } from '$lib/input/fields';

/** A way to run a cell that somebody keeps; rates in 1/h of the rated capacity, what is missing is left as it stands. */
export class ProtocolInput {
	@Text(60, 1) name!: string;
	@Maybe() @Num(0.5, 5) chargeV?: number | null;
	@Maybe() @Num(0.001, 20) chargeCRate?: number | null;
	@Maybe() @Num(0.0001, 1) tailCRate?: number | null;
	@Maybe() @Num(0, 100) restH?: number | null;
	@Maybe() @Num(0.001, 20) dischargeCRate?: number | null;
	@Maybe() @Num(0.5, 5) cutoffV?: number | null;
	/** Run at this temperature on purpose, °C. */
	@Maybe() @Num(-40, 80) temperatureC?: number | null;
	@Maybe() @ClientKey() clientKey?: string;
}
