import { Type } from 'class-transformer';
import { ArrayMinSize, IsArray, IsDefined, IsObject, ValidateNested } from 'class-validator';
import { CHEMISTRIES, type Chemistry } from '$lib/core/foundation/chemistry';
import { AtMost, Identity, Maybe, Num, Numbers, OneOf, Text, When, Whole, YesNo } from './fields';

/** What a label or an advert says; missing: nothing. */
export class LabelRequest {
	@Maybe() @OneOf(CHEMISTRIES) chemistry?: Chemistry | null;
	@Maybe() @Whole(1, 128) series?: number | null;
	@Maybe() @Num(0.01, 1_000_000) ratedAh?: number | null;
	@Maybe() @Num(0.01, 100_000_000) ratedWh?: number | null;
	@Maybe() @Num(0.1, 2000) nominalV?: number | null;
	@Maybe() @Num(0.1, 2000) fullV?: number | null;
	@Maybe() @Num(0.01, 1_000_000) claimedA?: number | null;
	@Maybe() @Num(0.001, 1_000_000) claimedKw?: number | null;
}

/** Panels that face one way: tilt from the horizontal, azimuth from north over east (180: south). */
export class PanelFieldInput {
	@Num(0, 1_000_000) w!: number;
	@Num(0, 90) tiltDeg!: number;
	@Num(0, 360) azimuthDeg!: number;
}

/** Watts at certain hours of the day (0 … 23) and months (1 … 12; all when missing). */
export class HourlyInput {
	@Num(0, 1_000_000) w!: number;
	@IsArray() @AtMost(24) @Numbers(0, 23) hours!: number[];
	@Maybe() @IsArray() @AtMost(12) @Numbers(1, 12) months?: number[] | null;
	/** 1 (Monday) … 7 (Sunday); every day when missing. */
	@Maybe() @IsArray() @AtMost(7) @Numbers(1, 7) days?: number[] | null;
	/** It does not go through the inverter. */
	@Maybe() @YesNo() dc?: boolean | null;
}

export class InverterInput {
	@Num(0.3, 1) efficiency!: number;
	@Num(0, 10_000) idleW!: number;
	/** What it can give for long, W; where it stops by itself, V of the battery. */
	@Maybe() @Num(1, 1_000_000) ratedW?: number | null;
	@Maybe() @Num(1, 1000) cutoffV?: number | null;
}

export class YearBatteryInput {
	@OneOf(CHEMISTRIES) chemistry!: Chemistry;
	@Num(1, 100_000_000) usableWh!: number;
	@Num(0, 10_000_000) maxChargeW!: number;
	@Maybe() @Num(-60, 60) chargeColdC?: number | null;
	/** Of the cells by month, °C; as the air when missing. */
	@Maybe() @IsArray() @AtMost(12) @Numbers(-60, 60) cellC?: number[] | null;
}

export class GeneratorInput {
	@Num(1, 1_000_000) w!: number;
	@Num(0, 1) startSoc!: number;
	@Num(0, 1) stopSoc!: number;
}

/** A year of use, drawn many times. */
export class YearRequest {
	@Num(-90, 90) latitudeDeg!: number;
	@IsArray() @AtMost(20) @ValidateNested({ each: true }) @Type(() => PanelFieldInput) fields!: PanelFieldInput[];
	/** kWh/m² a day on the horizontal, January first; usual for the latitude when missing. */
	@Maybe() @IsArray() @AtMost(12) @Numbers(0, 20) sunHours?: number[] | null;
	@Maybe() @IsArray() @AtMost(12) @Numbers(-60, 60) airC?: number[] | null;
	@IsArray() @AtMost(200) @ValidateNested({ each: true }) @Type(() => HourlyInput) loads!: HourlyInput[];
	@Maybe() @IsObject() @ValidateNested() @Type(() => InverterInput) inverter?: InverterInput | null;
	@Maybe() @Num(0, 100_000) standbyW?: number | null;
	/** Alternator, shore: what they bring as direct current. */
	@Maybe() @IsArray() @AtMost(20) @ValidateNested({ each: true }) @Type(() => HourlyInput) sources?:
		HourlyInput[] | null;
	@IsDefined({ message: 'battery is required' })
	@IsObject()
	@ValidateNested()
	@Type(() => YearBatteryInput)
	battery!: YearBatteryInput;
	@Maybe() @IsObject() @ValidateNested() @Type(() => GeneratorInput) generator?: GeneratorInput | null;
	@Maybe() @Whole(0, 2 ** 31) seed?: number | null;
	@Maybe() @Whole(1, 2000) years?: number | null;
}

/** Something that is to run. */
export class PlannedLoadInput {
	@Text(80, 1) name!: string;
	@Num(0, 1_000_000) w!: number;
	@Whole(0, 1000) count: number = 1;
	@Num(0, 1) share: number = 1;
	@IsArray() @AtMost(24) @Numbers(0, 23) hours!: number[];
	@Maybe() @IsArray() @AtMost(12) @Numbers(1, 12) months: number[] | null = null;
	@Maybe() @IsArray() @AtMost(7) @Numbers(1, 7) days?: number[] | null;
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
	/** What a meter at the cells showed when it was set to that. */
	@Maybe() @Num(0, 10_000) deliversA?: number | null;
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
	/** Main fuse, disconnect and what joins them. */
	@Maybe() @IsObject() @ValidateNested() @Type(() => BlockInput) fuse?: BlockInput | null;
}

/** What is to run, for its energy, power and amperes. */
export class LoadsRequest {
	@IsArray() @AtMost(200) @ValidateNested({ each: true }) @Type(() => PlannedLoadInput) loads!: PlannedLoadInput[];
	@Maybe() @IsObject() @ValidateNested() @Type(() => InverterInput) inverter?: InverterInput | null;
	@Maybe() @Num(0, 100_000) standbyW?: number | null;
}

/** A kind of cell that could be bought, or is there. */
export class CellChoiceInput {
	@Identity() id!: string | number;
	@Text(80, 1) name!: string;
	@OneOf(CHEMISTRIES) chemistry!: Chemistry;
	@Num(0.1, 10_000) ratedAh!: number;
	@Maybe() @Num(0, 1_000_000_000) price: number | null = null;
	@Whole(0, 1_000_000) inStock: number = 0;
	@Maybe() @Num(0.01, 1000) massKg: number | null = null;
	@Maybe() @Num(1, 5000) widthMm: number | null = null;
	@Maybe() @Num(1, 5000) thicknessMm: number | null = null;
	@Maybe() @Num(0.01, 50) chargeCRate: number | null = null;
	@Maybe() @Num(0.01, 50) dischargeCRate: number | null = null;
}

/** Which layouts of these cells give what is wanted. */
export class LayoutsRequest {
	@IsArray()
	@ArrayMinSize(1)
	@AtMost(50)
	@ValidateNested({ each: true })
	@Type(() => CellChoiceInput)
	cells!: CellChoiceInput[];
	@Num(1, 100_000_000) usableWh!: number;
	@Num(0, 10_000_000) continuousW!: number;
	@Num(0, 10_000_000) peakW!: number;
	@Num(0, 10_000_000) chargeW: number = 0;
	@Num(0.05, 1) window: number = 0.8;
	@IsArray() @ArrayMinSize(1) @AtMost(3) @Numbers(12, 48) classesV: number[] = [12, 24, 48];
	@Whole(1, 8) mostBatteries: number = 3;
	@Maybe() @Num(0, 1_000_000_000) bmsPrice: number | null = null;
}

/** Hardware of the fixture and of the build, against what is there. */
export class HardwareRequest {
	@Whole(1, 128) series!: number;
	@Whole(1, 64) parallel!: number;
	@Whole(1, 32) batteries: number = 1;
	@Whole(1, 64) rows: number = 1;
	@Whole(1, 2) studsPerPole: 1 | 2 = 1;
	@OneOf(['together', 'in-turn']) balance: 'together' | 'in-turn' = 'together';
	@Maybe() @IsObject() @ValidateNested() @Type(() => KitInput) kit?: KitInput | null;
}

/** Days of the parallel top balance by the supplies in hand. */
export class FirstChargeRequest {
	@OneOf(CHEMISTRIES) chemistry!: Chemistry;
	@Whole(1, 512) cells!: number;
	@Num(0.1, 10_000) ratedAh!: number;
	@Maybe() @Num(0, 1) arrivalSoc?: number;
	@IsArray() @AtMost(20) @ValidateNested({ each: true }) @Type(() => SupplyInput) supplies!: SupplyInput[];
	@Maybe() @Num(0, 10_000) seriesA?: number | null;
	@Maybe() @Whole(1, 128) series?: number;
	@Maybe() @Whole(1, 512) barsForCells?: number | null;
}

/** What each charger does for a bank, and what stands against it. */
export class ChargingRequest {
	@OneOf(CHEMISTRIES) chemistry!: Chemistry;
	@Whole(1, 128) series!: number;
	@Num(0.1, 100_000) bankAh!: number;
	/** V a cell. */
	@Num(1, 5) absorbV!: number;
	@IsArray() @AtMost(20) @ValidateNested({ each: true }) @Type(() => ChargerInput) chargers!: ChargerInput[];
	@Num(-60, 60) coldestC: number = -10;
	@Num(-60, 100) hottestC: number = 65;
}

/** A cell standing upright, mm. */
export class CellSizeInput {
	@Num(1, 5000) widthMm!: number;
	@Num(1, 5000) thicknessMm!: number;
	@Num(1, 5000) heightMm!: number;
}

/** How the cells of a battery can stand in a box. */
export class BoxFitRequest {
	@IsDefined({ message: 'box is required' }) @IsObject() @ValidateNested() @Type(() => BoxInput) box!: BoxInput;
	@IsDefined({ message: 'cell is required' })
	@IsObject()
	@ValidateNested()
	@Type(() => CellSizeInput)
	cell!: CellSizeInput;
	@Whole(1, 512) cells!: number;
}

/** Who lifts it, and how. */
export class LiftRequest {
	@Num(0.1, 100_000) massKg!: number;
	@Maybe() @Num(0.001, 1000) footprintM2: number | null = null;
	@Maybe() @Num(1, 100_000) spanMm: number | null = null;
	@Whole(0, 100) people: number = 1;
}

/** BMS, fuse, shunt and contactor, each as small as it may be. */
export class PartsRequest {
	@OneOf(CHEMISTRIES) chemistry!: Chemistry;
	@Whole(1, 128) series!: number;
	@Whole(1, 32) batteries: number = 1;
	@Num(0, 10_000_000) continuousW!: number;
	@Num(0, 10_000_000) peakW!: number;
	@Num(0, 10_000_000) surgeW!: number;
	@Num(0, 100_000) chargeA: number = 0;
	/** Of one battery when its loads still run; the usual cut-off of a load when missing. */
	@Maybe() @Num(1, 1000) leastV?: number | null;
	@Num(0.1, 1_000_000) bankAh!: number;
	@YesNo() freezes: boolean = true;
	@Num(0, 1000) contactorW: number = 0;
}

/** The days of a build. */
export class CalendarRequest {
	@When() startOn!: string;
	@Whole(1, 10_000) cells!: number;
	@Num(0.1, 10_000) ratedAh!: number;
	@Num(0, 1000) cellLeadDays!: number;
	@Num(0, 1000) partLeadDays!: number;
	@Whole(0, 100) testers: number = 1;
	@Num(0.01, 1000) testA: number = 20;
	@Num(0, 1000) balanceDays: number = 0;
	@Num(0.1, 24) hoursADay: number = 4;
	@Maybe() @Num(0.1, 24) wakingH?: number;
}
