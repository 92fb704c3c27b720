import { Matches } from 'class-validator';
import { INSTRUMENT_KINDS, type InstrumentKind } from '$lib/core/foundation/reading';
import { Maybe, Num, OneOf, Text, Whole, YesNo } from '$lib/input/fields';

/** An entry of the address book. */
export class InstrumentInput {
	@Text(80, 1) name!: string;
	@OneOf(INSTRUMENT_KINDS) kind!: InstrumentKind;
	@Matches(/^[A-Za-z0-9]([A-Za-z0-9.-]{0,118}[A-Za-z0-9])?$|^\[[0-9a-fA-F:]{2,45}\]$/, {
		message: 'host requires a host name or an address like 192.168.1.40'
	})
	host!: string;
	@Whole(1, 65_535) port!: number;
	/** Modbus unit of a BMS or shunt. */
	@Maybe() @Whole(0, 247) unitId?: number | null;
	/** True when the person means an address outside this computer. */
	@YesNo() outsideNamed: boolean = false;
	/** By the instrument's sheet: ±(percent of reading + V, Ω or A); that of a fair one of its kind when missing. */
	@Maybe() @Num(0, 20) accuracyPercent?: number;
	@Maybe() @Num(0, 10) accuracyFixed?: number;
	@Num(-1, 1) voltageOffsetV: number = 0;
	@Num(-20, 20) currentGainPercent: number = 0;
}
