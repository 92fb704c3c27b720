import { Type } from 'class-transformer';
import { ArrayMinSize, IsArray, IsDefined, IsInt, IsObject, ValidateNested } from 'class-validator';
import { CHEMISTRIES, LAST_MOVES, type Chemistry, type LastMove } from '$lib/core/foundation/chemistry';
import type { Passings } from '$lib/core/foundation/snapshot';
import { STRATEGIES, type Strategy } from '$lib/core/picture';
import { BATCH_WISHES, type BatchWish } from '$lib/core/match/groups';
import {
	Ages,
	GroupPassings,
	AtMost,
	Identities,
	Identity,
	IdentityLists,
	Maybe,
	Num,
	OneOf,
	Text,
	Volts,
	When,
	Whole,
	WholeGroups,
	YesNo
} from './fields';
import { CellFigures } from './cell-figures';

export class SocBoundsInput {
	@OneOf(CHEMISTRIES) chemistry!: Chemistry;
	@Num(-100, 100) restVoltageV!: number;
	@Num(0, 1) meterSdV!: number;
	@Num(0, 1e9) restS!: number;
	/** What it did before it rested; null: nobody knows. */
	@Maybe() @OneOf(LAST_MOVES) lastMove?: LastMove | null;
}

export class MatchCellInput {
	@Identity() id!: number | string;
	@Num(0.001, 100_000) capacityAh!: number;
	@Maybe() @Num(0, 10_000) capacitySdAh?: number | null;
	@Maybe() @Num(0.0001, 1e6) resistanceMohm?: number | null;
	@Maybe() @Text(60) batch?: string | null;
}

/** A cell that stays where it is. */
export class MatchLockInput {
	@Identity() cellId!: number | string;
	@Whole(1, 128) position!: number;
	@Maybe() @Whole(1, 64) battery?: number | null;
}

export class MatchInput {
	@Whole(1, 128) series!: number;
	@Whole(1, 64) parallel!: number;
	@IsArray()
	@ArrayMinSize(1)
	@AtMost(2000)
	@ValidateNested({ each: true })
	@Type(() => MatchCellInput)
	cells!: MatchCellInput[];
	@Maybe() @Num(0.05, 60) timeLimitS?: number;
	@Maybe() @OneOf(BATCH_WISHES) batchWish?: BatchWish;
	@Maybe() @YesNo() robust?: boolean;
	/** Built at once, each of `series` groups. */
	@Maybe() @Whole(1, 64) batteries?: number | null;
	@Maybe() @IsArray() @AtMost(2000) @ValidateNested({ each: true }) @Type(() => MatchLockInput) locks?:
		MatchLockInput[] | null;
	/** Left out. */
	@Maybe() @Identities() exclude?: (string | number)[] | null;
	/** No two of a list in one group. */
	@Maybe() @IdentityLists() apart?: (string | number)[][] | null;
}

export class BmsInput {
	@Maybe() @Num(1, 10_000) continuousA?: number | null;
	@Maybe() @Num(1, 10_000) chargeA?: number | null;
	@Maybe() @Num(0.0001, 0.2) resolutionV?: number | null;
}

/** What loads draw of a battery, and when something starts. */
export class LoadDrawInput {
	@Maybe() @Num(0, 10_000) continuousA?: number | null;
	@Maybe() @Num(0, 100_000) inrushA?: number | null;
	@Maybe() @Num(0, 600) inrushS?: number | null;
}

export class LimitsRequest {
	@OneOf(CHEMISTRIES) chemistry!: Chemistry;
	@Whole(1, 128) series!: number;
	@Whole(1, 64) parallel!: number;
	@OneOf(STRATEGIES) strategy!: Strategy;
	@IsDefined({ message: 'cell is required' }) @IsObject() @ValidateNested() @Type(() => CellFigures) cell!: CellFigures;
	@Maybe() @Num(0.1, 100_000) measuredGroupAh?: number | null;
	@Maybe() @IsObject() @ValidateNested() @Type(() => BmsInput) bms?: BmsInput | null;
	@Maybe() @Num(1, 10_000) fuseA?: number | null;
	@Maybe() @Num(1, 10_000) cableA?: number | null;
	/** What the loads draw at most; as usual when missing. */
	@Maybe() @IsObject() @ValidateNested() @Type(() => LoadDrawInput) load?: LoadDrawInput | null;
}

export class FadeObservationInput {
	@Num(0, 100) ageYears!: number;
	/** Null: nobody counted. */
	@Maybe() @Num(0, 1e6) efc?: number | null;
	@Num(0.001, 100_000) capacityAh!: number;
	@Num(0.0001, 100_000) sdAh!: number;
	/** Of the cells in the test; it is brought to 25 °C. Null: nobody told, and seasons may have moved it. */
	@Maybe() @Num(-40, 80) temperatureC?: number | null;
}

export class FadeRequest {
	@Num(0.1, 100_000) ratedAh!: number;
	@Num(0.05, 0.99) endFraction!: number;
	@IsArray()
	@AtMost(500)
	@ValidateNested({ each: true })
	@Type(() => FadeObservationInput)
	observations!: FadeObservationInput[];
	/** Null: nobody knows. */
	@Maybe() @Num(0, 10_000) efcPerYear?: number | null;
	/** Ages at which cells were exchanged, years. */
	@Maybe() @AtMost(6) @Ages() exchangedAt?: number[];
}

export class MatchGroupsInput {
	/** Cell ids a group, group 1 first; groups of battery 1, then 2, … */
	@IsArray() @ArrayMinSize(1) @AtMost(4096) @WholeGroups() groups!: number[][];
	@Maybe() @When() placedAt?: string;
	/** Why they are built although something speaks against it: kept on the batteries. */
	@Maybe() @Text(400) despite?: string | null;
	/** Placements that stood when this was decided, by id: others since are a conflict. As they stand when missing. */
	@Maybe() @IsArray() @AtMost(4096) @IsInt({ each: true }) replaces?: number[];
}

/** One cell out of its group, another into its place or none. */
export class ExchangeInput {
	@Whole(1, 2 ** 31) outCellId!: number;
	/** Loose, of this bank or of the stock; missing: the place is left empty. */
	@Maybe() @Whole(1, 2 ** 31) intoCellId?: number | null;
	/** Now when missing. */
	@Maybe() @When() at?: string;
	/** Why it is built in although something speaks against it: kept on the battery. */
	@Maybe() @Text(400) despite?: string | null;
}

/** Of a bank, or of a battery that is not kept here: then its chemistry and the capacity of a group. */
export class BalanceQuestionInput {
	@Maybe() @Whole(1, 2 ** 31) bankId?: number | null;
	@Maybe() @OneOf(CHEMISTRIES) chemistry?: Chemistry | null;
	@Maybe() @Num(0.1, 100_000) groupAh?: number | null;
	@IsArray() @ArrayMinSize(2) @AtMost(128) @Volts() groupVoltagesV!: number[];
	@Num(-10_000, 10_000) currentA!: number;
	@Maybe() @Num(0, 1) meterSdV?: number | null;
	/** Cells in series each reading is over. */
	@Maybe() @Whole(1, 24) cellsPerReading?: number | null;
	/** Of the log of the charge that these readings end. */
	@Maybe() @GroupPassings() passings?: Passings | null;
}

/** Cells picked for a bank. */
export class PickCellsInput {
	@IsArray() @ArrayMinSize(1) @AtMost(2000) @IsInt({ each: true }) cellIds!: number[];
}
