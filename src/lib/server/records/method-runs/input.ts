import { Type } from 'class-transformer';
import { IsArray, IsInt, IsObject, IsString, MaxLength, ValidateNested } from 'class-validator';
import { CHEMISTRIES, type Chemistry } from '$lib/core/foundation/chemistry';
import { METHOD_KINDS, type MethodKind } from '$lib/core/picture';
import { AtMost, ClientKey, Maybe, Num, OneOf, When, Whole } from '$lib/input/fields';

/** What is at hand for a balance by a method; what is missing is as usual. */
export class MethodSetupInput {
	@Maybe() @Num(0.01, 2000) currentA?: number | null;
	@Maybe() @Num(0.01, 2000) cellSupplyA?: number | null;
	@Maybe() @Num(0.001, 100) balancerA?: number | null;
	@Maybe() @Num(0.5, 5) startV?: number | null;
	@Maybe() @Num(0.5, 5) stopV?: number | null;
	@Maybe() @Num(0.0001, 1) triggerV?: number | null;
	@Maybe() @Num(0, 24) hoursADay?: number | null;
	@Maybe() @Num(0, 100) growthAhADay?: number | null;
	/** Of one lead of a balancer, Ω. */
	@Maybe() @Num(0, 10) leadOhm?: number | null;
	@Maybe() @OneOf(CHEMISTRIES) madeFor?: Chemistry | null;
	@Maybe() @Whole(1, 64) leastSeries?: number | null;
	@Maybe() @Whole(1, 64) mostSeries?: number | null;
	@Maybe() @Num(0.1, 10_000) mostCellAh?: number | null;
	/** Ready-made batteries by name, in series from the negative. */
	@Maybe()
	@IsArray()
	@AtMost(8)
	@IsString({ each: true })
	@MaxLength(40, { each: true })
	units?: string[] | null;
	@Maybe() @Num(0.1, 10_000) unitAh?: number | null;
	@Maybe() @Whole(1, 32) unitCells?: number | null;
}

/** A balance by a method that goes step by step. */
export class MethodRunInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@OneOf(METHOD_KINDS) method!: MethodKind;
	/** In the order they are taken in; all cells placed in the bank when missing. */
	@Maybe() @IsArray() @AtMost(1024) @IsInt({ each: true }) cellIds?: number[] | null;
	@IsObject() @ValidateNested() @Type(() => MethodSetupInput) setup: MethodSetupInput = new MethodSetupInput();
	@Maybe() @When() endedAt?: string | null;
	@Maybe() @ClientKey() clientKey?: string;
}
