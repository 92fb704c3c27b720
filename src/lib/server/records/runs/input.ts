import { Type } from 'class-transformer';
import { CORRECTIONS, type Correction } from '$lib/core/picture';
import { IsArray, ValidateNested } from 'class-validator';
import { AtMost, ClientKey, EachOneOf, Maybe, Num, OneOf, Text, When, Whole, YesNo } from '$lib/input/fields';

/** A capacity result entered by hand. */
export class RunInput {
	@Whole(1, 2 ** 31) cellId!: number;
	@Num(0.001, 100_000) capacityAh!: number;
	@Maybe() @Num(0, 10_000) sdAh?: number | null;
	@Maybe() @Num(0, 1e6) energyWh?: number | null;
	@Maybe() @Num(0, 10) meanVoltageV?: number | null;
	@Maybe() @Num(-10_000, 10_000) currentA?: number | null;
	@Maybe() @Num(-60, 100) temperatureC?: number | null;
	/** Run at this temperature on purpose, °C: compared only with runs like it. Null: at that of the room. */
	@Maybe() @Num(-40, 80) heldAtC?: number | null;
	@Maybe() @Num(0, 5) cutoffV?: number | null;
	/** Constant power it was discharged with, W; rest between charge and discharge, s; whether it began full: null where nobody said. */
	@Maybe() @Num(0, 100_000) powerW?: number | null;
	@Maybe() @Num(0, 1e8) restS?: number | null;
	@Maybe() @YesNo() startedFull?: boolean | null;
	@Maybe() @When() testedAt?: string;
	/** How far off the time may be, s; missing: exact. */
	@Maybe() @Num(0, 1e8) testedDoubtS?: number | null;
	@Maybe() @Text(80) tester?: string | null;
	/** Of both leads of a two-wire tester, Ω. */
	@Maybe() @Num(0, 10) leadOhm?: number | null;
	/** Corrections that are not to be made of it. */
	@Maybe() @IsArray() @AtMost(4) @EachOneOf(CORRECTIONS) correctionsOff?: Correction[] | null;
	@Maybe() @ClientKey() clientKey?: string;
}

export class LogFaultInput {
	@Text(40, 1) code!: string;
	@Text(400) message!: string;
	@Maybe() @Whole(0, 2 ** 31) row?: number | null;
}

export class StoredRunInput extends RunInput {
	@OneOf(['log', 'hand', 'live']) source!: 'log' | 'hand' | 'live';
	@Maybe() @Whole(1, 2 ** 31) instrumentId?: number | null;
	@Maybe() @Num(-1000, 1000) cRate?: number | null;
	@Maybe() @Num(0, 1e9) durationS?: number | null;
	@Maybe() @Num(-100, 100) endVoltageV?: number | null;
	@Maybe() @Text(200) fileName?: string | null;
	@Maybe() @IsArray() @AtMost(1000) @ValidateNested({ each: true }) @Type(() => LogFaultInput) faults?:
		LogFaultInput[] | null;
}
