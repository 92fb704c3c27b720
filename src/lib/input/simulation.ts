import { Type } from 'class-transformer';
import { ArrayMinSize, IsArray, IsDefined, IsObject, ValidateNested } from 'class-validator';
import { CHEMISTRIES, type Chemistry } from '$lib/core/foundation/chemistry';
import { WIRINGS, type Wiring } from '$lib/core/world/simulation';
import { AtMost, Identity, IdentityGroups, Maybe, Num, OneOf, Whole, YesNo } from './fields';

export class SimulatedCellInput {
	@Identity() id!: string | number;
	@Maybe() @Num(0.1, 10_000) capacityAh?: number;
	/** Share of the capacity when new that is left. */
	@Maybe() @Num(0.01, 2) capacityFactor?: number;
	@Maybe() @Num(-0.05, 1.08) soc?: number;
	@Maybe() @Num(0.01, 1000) resistanceFactor?: number;
	@Maybe() @Num(0, 10) selfDischargePerMonth?: number;
	@Maybe() @Num(-60, 120) temperatureC?: number;
	@Maybe() @Num(0.5, 1) coulombicEfficiency?: number;
	@Maybe() @Num(0.01, 1000) massKg?: number;
}

export class WiringInput {
	@OneOf(WIRINGS) kind!: Wiring;
	/** Cell ids a group; all cells in one row, or one a group, when missing. */
	@Maybe() @IsArray() @AtMost(512) @IdentityGroups() groups?: (string | number)[][];
	@Maybe() @Num(0, 1) linkOhm?: number;
}

export class BmsLimitsInput {
	@Maybe() @Num(-10, 10) cellHighV?: number;
	@Maybe() @Num(-10, 10) cellHighReleaseV?: number;
	@Maybe() @Num(-10, 10) cellLowV?: number;
	@Maybe() @Num(-10, 10) cellLowReleaseV?: number;
	@Maybe() @Num(0, 5000) packHighV?: number | null;
	@Maybe() @Num(0, 5000) packHighReleaseV?: number | null;
	@Maybe() @Num(0, 5000) packLowV?: number | null;
	@Maybe() @Num(0, 5000) packLowReleaseV?: number | null;
	@Maybe() @Num(-60, 120) chargeColdC?: number;
	@Maybe() @Num(-60, 120) chargeHotC?: number;
	@Maybe() @Num(-60, 120) dischargeColdC?: number;
	@Maybe() @Num(-60, 120) dischargeHotC?: number;
	@Maybe() @Num(0, 100) temperatureReleaseK?: number;
	@Maybe() @Num(0, 100_000) chargeMaxA?: number | null;
	@Maybe() @Num(0, 100_000) dischargeMaxA?: number | null;
	@Maybe() @Num(0, 1e6) overCurrentReleaseS?: number;
	@Maybe() @Num(0, 1e5) voltageDelayS?: number;
	@Maybe() @Num(0, 1e5) temperatureDelayS?: number;
	@Maybe() @Num(0, 1e5) currentDelayS?: number;
	@Maybe() @Num(0, 1) noiseV?: number;
}

export class BalancerInput {
	@Maybe() @OneOf(['passive', 'active']) kind?: 'passive' | 'active';
	@Maybe() @Num(0.001, 100) currentA?: number;
	@Maybe() @Num(0, 10) startV?: number;
	@Maybe() @Num(0, 10) triggerV?: number;
	@Maybe() @Num(0.1, 1) efficiency?: number;
	@Maybe() @YesNo() chargingOnly?: boolean;
}

export class WorldInput {
	@OneOf(CHEMISTRIES) chemistry!: Chemistry;
	@Maybe() @Num(-60, 90) ambientC?: number;
	@Maybe() @Whole(0, 2 ** 32 - 1) seed?: number;
	@IsArray()
	@ArrayMinSize(1)
	@AtMost(512)
	@ValidateNested({ each: true })
	@Type(() => SimulatedCellInput)
	cells!: SimulatedCellInput[];
	@IsDefined({ message: 'wiring is required' })
	@IsObject()
	@ValidateNested()
	@Type(() => WiringInput)
	wiring!: WiringInput;
	@Maybe() @IsObject() @ValidateNested() @Type(() => BmsLimitsInput) bms?: BmsLimitsInput;
	@Maybe() @IsObject() @ValidateNested() @Type(() => BalancerInput) balancer?: BalancerInput;
}

export class StepEndInput {
	@Maybe() @Num(0.001, 1e9) durationS?: number;
	@Maybe() @Num(-10, 10) cellLowV?: number;
	@Maybe() @Num(-10, 10) cellHighV?: number;
	@Maybe() @Num(0.0001, 100_000) tailA?: number;
}

export class SimulatedStepInput {
	@OneOf(['rest', 'charge', 'discharge']) kind!: 'rest' | 'charge' | 'discharge';
	/** The kind says which way it flows; a discharge may also be written with the battery's sign. */
	@Maybe() @Num(-100_000, 100_000) currentA?: number;
	@Maybe() @Num(0.0001, 1e7) powerW?: number;
	@Maybe() @Num(0.01, 5000) voltageV?: number;
	@Maybe() @Num(0, 10) leadOhm?: number;
	@IsDefined({ message: 'until is required' })
	@IsObject()
	@ValidateNested()
	@Type(() => StepEndInput)
	until!: StepEndInput;
}

export class SimulationRequest {
	@IsDefined({ message: 'world is required' })
	@IsObject()
	@ValidateNested()
	@Type(() => WorldInput)
	world!: WorldInput;
	@IsArray()
	@ArrayMinSize(1)
	@AtMost(200)
	@ValidateNested({ each: true })
	@Type(() => SimulatedStepInput)
	steps!: SimulatedStepInput[];
	@Num(0.01, 3600) stepS!: number;
	@Num(0.01, 1e9) recordEveryS!: number;
}
