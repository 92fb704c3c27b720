import { Type } from 'class-transformer';
import { IsArray, IsDefined, IsObject, ValidateNested } from 'class-validator';
import { CHEMISTRIES, type Chemistry } from '$lib/core/chemistry';
import { AtMost, Maybe, Num, Numbers, OneOf, Whole, YesNo } from './fields';

/** What a label or an advert says; missing: nothing. */
export class LabelRequest {
	@Maybe() @OneOf(CHEMISTRIES) chemistry?: Chemistry | null;
	@Maybe() @Whole(1, 128) series?: number | null;
	@Maybe() @Num(0.01, 1_000_000) ratedAh?: number | null;
	@Maybe() @Num(0.01, 100_000_000) ratedWh?: number | null;
	@Maybe() @Num(0.1, 2000) nominalV?: number | null;
	@Maybe() @Num(0.1, 2000) fullV?: number | null;
	@Maybe() @Num(0.01, 1_000_000) claimedA?: number | null;
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
	/** It does not go through the inverter. */
	@Maybe() @YesNo() dc?: boolean | null;
}

export class InverterInput {
	@Num(0.3, 1) efficiency!: number;
	@Num(0, 10_000) idleW!: number;
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
