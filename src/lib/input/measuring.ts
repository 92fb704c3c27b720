import { Type } from 'class-transformer';
import { ArrayMinSize, IsArray, IsDefined, IsObject, ValidateNested } from 'class-validator';
import { CHEMISTRIES, type Chemistry } from '$lib/core/foundation/chemistry';
import { WITNESS_KINDS } from '$lib/core/test/witnesses';
import { AtMost, Identity, Maybe, Num, OneOf, Text, When, YesNo } from './fields';

/** What stands on a cell, as read or typed. */
export class CellCodeRequest {
	@Text(400, 1) code!: string;
}

export class StoredReadingRequest {
	@When() at!: string;
	@Num(-10, 10) restVoltageV!: number;
	@Num(0, 1) sdV!: number;
	@Maybe() @Num(-60, 100) temperatureC?: number | null;
}

export class RefillRequest {
	@Num(-10_000, 10_000) ah!: number;
	@Num(0, 10_000) sdAh!: number;
	@Num(0.01, 10_000) days!: number;
}

/** Rest voltages of a cell that lay still, or what a second charge to the same end took: one of the two. */
export class SelfDischargeRequest {
	@OneOf(CHEMISTRIES) chemistry!: Chemistry;
	@Num(0.1, 10_000) capacityAh!: number;
	@Maybe() @IsArray() @AtMost(60) @ValidateNested({ each: true }) @Type(() => StoredReadingRequest) readings?:
		StoredReadingRequest[] | null;
	@Maybe() @IsObject() @ValidateNested() @Type(() => RefillRequest) refill?: RefillRequest | null;
}

export class NotedLoad {
	@Maybe() @Num(-10_000, 10_000) currentA?: number | null;
	@Maybe() @Num(-1_000_000, 1_000_000) powerW?: number | null;
}

/** A line copied from a display; any of it may be missing. */
export class SpotNoteInput {
	@Maybe() @Num(0, 1e8) timeS?: number | null;
	@Maybe() @Num(0, 100_000) ah?: number | null;
	@Maybe() @Num(0.1, 10) voltageV?: number | null;
}

/** A discharge known by a few lines. */
export class FitNotesRequest {
	@OneOf(CHEMISTRIES) chemistry!: Chemistry;
	@Num(0.1, 10_000) ratedAh!: number;
	@IsDefined({ message: 'load is required' }) @IsObject() @ValidateNested() @Type(() => NotedLoad) load!: NotedLoad;
	@Num(0.5, 5) cutoffV!: number;
	@IsArray()
	@ArrayMinSize(1)
	@AtMost(200)
	@ValidateNested({ each: true })
	@Type(() => SpotNoteInput)
	notes!: SpotNoteInput[];
}

export class TesterRunInput {
	@Identity() cellId!: string | number;
	@Identity() testerId!: string | number;
	@Num(0.001, 100_000) capacityAh!: number;
	/** Without its tester's gain. */
	@Num(0, 10_000) sdAh!: number;
}

/** Runs of several cells on several testers. */
export class TestersRequest {
	@IsArray()
	@ArrayMinSize(1)
	@AtMost(5000)
	@ValidateNested({ each: true })
	@Type(() => TesterRunInput)
	runs!: TesterRunInput[];
}

/** Something that measured the same charge: by its kind `ah`, `wh`, `hours` and `amps`, `watts` and `hours`, `kwh`, or water. */
export class WitnessInput {
	@OneOf(WITNESS_KINDS) kind!: (typeof WITNESS_KINDS)[number];
	@Maybe() @Num(0.001, 1_000_000) ah?: number | null;
	@Maybe() @Num(0.0001, 100_000) sdAh?: number | null;
	@Maybe() @Num(0.001, 100_000_000) wh?: number | null;
	@Maybe() @Num(0.0001, 100_000) hours?: number | null;
	@Maybe() @Num(0.0001, 100_000) amps?: number | null;
	@Maybe() @Num(0.0001, 10_000_000) watts?: number | null;
	@Maybe() @Num(0.0001, 100_000) kwh?: number | null;
	@Maybe() @Num(0, 1) efficiency?: number | null;
	@Maybe() @Num(0.001, 1_000_000) litres?: number | null;
	@Maybe() @Num(-20, 110) fromC?: number | null;
	@Maybe() @Num(-20, 110) toC?: number | null;
}

export class WitnessesRequest {
	@OneOf(CHEMISTRIES) chemistry!: Chemistry;
	@Maybe() @Num(0.1, 100_000) ratedAh?: number | null;
	@IsArray()
	@ArrayMinSize(1)
	@AtMost(200)
	@ValidateNested({ each: true })
	@Type(() => WitnessInput)
	items!: WitnessInput[];
	/** Of the discharge; taken from the hours of a witness when missing. */
	@Maybe() @Num(0.0001, 100) cRate?: number | null;
	/** Of the cell, °C. */
	@Maybe() @Num(-60, 100) temperatureC?: number | null;
}

export class CellResultInput {
	@Identity() testerId!: string | number;
	@Num(0.001, 100_000) capacityAh!: number;
	/** Without its tester's gain. */
	@Maybe() @Num(0, 10_000) sdAh?: number | null;
	@Maybe() @Num(-60, 100) temperatureC?: number | null;
	@Maybe() @Num(0.0001, 100) cRate?: number | null;
	/** Of both leads of a two-wire tester, Ω. */
	@Maybe() @Num(0, 10) leadOhm?: number | null;
}

/** All results of one cell, against its rating. */
export class CapacityJudgementRequest {
	@Num(0.1, 100_000) ratedAh!: number;
	@Maybe() @Num(0.001, 10) standardCRate?: number | null;
	@IsArray()
	@ArrayMinSize(1)
	@AtMost(500)
	@ValidateNested({ each: true })
	@Type(() => CellResultInput)
	results!: CellResultInput[];
}

export class QueueCellInput {
	@Identity() id!: string | number;
	@Num(0.1, 10_000) capacityAh!: number;
	/** As it comes; 0.3 when missing, 0 when tested. */
	@Maybe() @Num(0, 1) soc?: number | null;
	/** Discharged already: it only waits to be put back. */
	@Maybe() @YesNo() tested?: boolean | null;
	/** When its test should have ended, a day counts whole: such cells come first where the order saves that day. */
	@Maybe() @When() testBy?: string | null;
}

export class QueueThingInput {
	@Identity() id!: string | number;
	@Num(0.01, 10_000) currentA!: number;
}

/** Times of day, local to the start: `07:00`. */
export class WakingInput {
	@Text(5, 4) from!: string;
	@Text(5, 4) to!: string;
}

/** Cells to be tested one by one with what is at hand. */
export class TestQueueRequest {
	@IsArray()
	@ArrayMinSize(1)
	@AtMost(500)
	@ValidateNested({ each: true })
	@Type(() => QueueCellInput)
	cells!: QueueCellInput[];
	@IsArray()
	@ArrayMinSize(1)
	@AtMost(64)
	@ValidateNested({ each: true })
	@Type(() => QueueThingInput)
	testers!: QueueThingInput[];
	@IsArray()
	@ArrayMinSize(1)
	@AtMost(64)
	@ValidateNested({ each: true })
	@Type(() => QueueThingInput)
	supplies!: QueueThingInput[];
	/** IANA name of the place, for daylight saving. */
	@Maybe() @Text(64, 1) timeZone?: string | null;
	@Maybe() @Num(0, 1000) soakH?: number | null;
	@Maybe() @Num(0, 1000) restH?: number | null;
	@IsDefined({ message: 'waking is required' })
	@IsObject()
	@ValidateNested()
	@Type(() => WakingInput)
	waking!: WakingInput;
	@When() startAt!: string;
	/** A discharge may go on with nobody there. */
	@Maybe() @YesNo() unattendedDischarge?: boolean | null;
}
