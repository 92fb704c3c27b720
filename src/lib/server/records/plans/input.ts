import { Type } from 'class-transformer';
import { IsArray, IsObject, ValidateNested } from 'class-validator';
import { AtMost, Maybe, Num, Numbers, OneOf, When, Whole } from '$lib/input/fields';
import {
	BoxInput,
	ChargerInput,
	GeneratorInput,
	HourlyInput,
	InverterInput,
	KitInput,
	PanelFieldInput,
	PlannedLoadInput,
	SupplyInput
} from '$lib/input/planning';

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
	@Maybe() @Num(0.25, 24) supplyHoursADay?: number | null;
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
	@Maybe() @Num(0.01, 1000) testDeliversA?: number | null;
	@Maybe() @Num(0.1, 24) hoursADay?: number | null;
}
