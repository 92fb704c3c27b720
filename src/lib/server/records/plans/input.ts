import { Type } from 'class-transformer';
import { IsArray, IsObject, ValidateNested } from 'class-validator';
import { AtMost, Maybe, Num, Numbers, OneOf, Text, When, Whole, YesNo } from '$lib/input/fields';
import { GeneratorInput, HourlyInput, InverterInput, PanelFieldInput } from '$lib/input/planning';

/** Something that is to run. */
export class PlannedLoadInput {
	@Text(80, 1) name!: string;
	@Num(0, 1_000_000) w!: number;
	@Whole(0, 1000) count: number = 1;
	@Num(0, 1) share: number = 1;
	@IsArray() @AtMost(24) @Numbers(0, 23) hours!: number[];
	@Maybe() @IsArray() @AtMost(12) @Numbers(1, 12) months: number[] | null = null;
	@Maybe() @Num(0, 1_000_000) surgeW: number | null = null;
	@YesNo() dc: boolean = false;
}

export class ChargerInput {
	@Text(80, 1) name!: string;
	@OneOf(['mains', 'solar', 'converter', 'bench', 'alternator']) kind!:
		'mains' | 'solar' | 'converter' | 'bench' | 'alternator';
	@Num(0, 10_000) a!: number;
	@Maybe() @Num(0.1, 2000) absorbV: number | null = null;
	@Maybe() @YesNo() lithium: boolean | null = null;
	@Maybe() @Num(0, 500) startMarginV?: number | null;
	@Maybe() @Num(1, 2000) mostPanelV?: number | null;
	@Maybe() @Num(0, 2000) panelWorkV?: number | null;
	@Maybe() @Num(0, 2000) panelOpenV?: number | null;
}

export class SupplyInput {
	@Text(80, 1) name!: string;
	@Num(0, 10_000) a!: number;
	@Num(0, 2000) lowestV: number = 0;
	@Num(0, 2000) highestV!: number;
	@Num(0, 10) leadOhm!: number;
}

/** What is in the drawer, pieces. */
export class KitInput {
	@Maybe() @Whole(0, 100_000) bar?: number;
	@Maybe() @Whole(0, 100_000) rowLink?: number;
	@Maybe() @Whole(0, 100_000) stud?: number;
	@Maybe() @Whole(0, 100_000) nut?: number;
	@Maybe() @Whole(0, 100_000) ring?: number;
	@Maybe() @Whole(0, 100_000) jumper?: number;
	@Maybe() @Whole(0, 100_000) thermistorPad?: number;
	@Maybe() @Whole(0, 100_000) insulationSheet?: number;
	@Maybe() @Whole(0, 100_000) endPlate?: number;
	@Maybe() @Whole(0, 100_000) mainTerminal?: number;
}

export class BlockInput {
	@Num(1, 10_000) lengthMm!: number;
	@Num(1, 10_000) widthMm!: number;
	@Num(1, 10_000) heightMm!: number;
}

/** Inside of the box. */
export class BoxInput extends BlockInput {
	@Maybe() @Num(0, 100) insulationMm: number | null = null;
	@Maybe() @Num(0, 200) endPlateMm: number | null = null;
	@Maybe() @Num(0, 500) lidMm: number | null = null;
	@Maybe() @Num(0, 100) cableMm: number | null = null;
	@Maybe() @IsObject() @ValidateNested() @Type(() => BlockInput) bms: BlockInput | null = null;
}

/** What a person has written down before buying; one a bank. Null or missing: not said. */
export class PlanInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@Maybe() @Num(-90, 90) latitudeDeg?: number | null;
	@IsArray() @AtMost(200) @ValidateNested({ each: true }) @Type(() => PlannedLoadInput) loads: PlannedLoadInput[] = [];
	@Maybe() @IsObject() @ValidateNested() @Type(() => InverterInput) inverter?: InverterInput | null;
	@Maybe() @Num(0, 100_000) standbyW?: number | null;
	@Maybe() @Num(0.05, 1) window?: number | null;
	@IsArray() @AtMost(20) @ValidateNested({ each: true }) @Type(() => PanelFieldInput) fields: PanelFieldInput[] = [];
	@Maybe() @IsArray() @AtMost(12) @Numbers(0, 20) sunHours?: number[] | null;
	@Maybe() @IsArray() @AtMost(12) @Numbers(-60, 60) airC?: number[] | null;
	@Maybe() @Num(-60, 60) boxWarmC?: number | null;
	@IsArray() @AtMost(20) @ValidateNested({ each: true }) @Type(() => HourlyInput) sources: HourlyInput[] = [];
	@Maybe() @IsObject() @ValidateNested() @Type(() => GeneratorInput) generator?: GeneratorInput | null;
	@Maybe() @Num(-60, 60) coldestC?: number | null;
	@Maybe() @Num(-60, 100) hottestC?: number | null;
	@IsArray() @AtMost(20) @ValidateNested({ each: true }) @Type(() => ChargerInput) chargers: ChargerInput[] = [];
	@IsArray() @AtMost(20) @ValidateNested({ each: true }) @Type(() => SupplyInput) supplies: SupplyInput[] = [];
	@Maybe() @Num(0, 10_000) seriesChargeA?: number | null;
	@Maybe() @Whole(1, 1000) barsForCells?: number | null;
	@Whole(1, 2) studsPerPole: 1 | 2 = 1;
	@OneOf(['together', 'in-turn']) balance: 'together' | 'in-turn' = 'together';
	@Maybe() @Whole(1, 64) rows?: number | null;
	@IsObject() @ValidateNested() @Type(() => KitInput) kit: KitInput = new KitInput();
	@Maybe() @IsObject() @ValidateNested() @Type(() => BoxInput) box?: BoxInput | null;
	@Maybe() @Whole(0, 20) people?: number | null;
	@Maybe() @Num(0, 1_000_000_000) cellPrice?: number | null;
	@Maybe() @Num(0, 1_000_000_000) bmsPrice?: number | null;
	@Maybe() @Num(0, 1_000_000_000) readyMadePrice?: number | null;
	@Maybe() @Num(1, 100_000_000) readyMadeWh?: number | null;
	@Maybe() @When() orderOn?: string | null;
	@Maybe() @Num(0, 1000) cellLeadDays?: number | null;
	@Maybe() @Num(0, 1000) partLeadDays?: number | null;
	@Maybe() @Whole(0, 100) testers?: number | null;
	@Maybe() @Num(0.01, 1000) testA?: number | null;
	@Maybe() @Num(0.1, 24) hoursADay?: number | null;
}
