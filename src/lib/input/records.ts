import { ArrayMinSize, IsArray, IsObject, ValidateIf } from 'class-validator';
import { CHEMISTRIES, type Chemistry } from '$lib/core/chemistry';
import { STRATEGIES, type Strategy } from '$lib/core/limits';
import { QUANTITIES, type Quantity } from '$lib/core/reading';
import { CHECK_CONTEXTS, type CheckContext } from '$lib/core/service';
import { DATE_STYLES, THEMES, UNIT_SYSTEMS, type Settings } from '$lib/core/units';
import { AtMost, Maybe, Num, OneOf, Text, When, Whole } from './fields';

export const BANK_USES = ['cabin', 'van', 'motorhome', 'boat', 'other'] as const;
export type BankUse = (typeof BANK_USES)[number];

/** The maker's figures of a cell; null or missing takes the chemistry's default where there is one. */
export class CellFigures {
	@Num(0.1, 10_000) ratedAh!: number;
	@Maybe() @Num(0.001, 1000) acResistanceMohm?: number | null;
	@Maybe() @Num(1, 5) chargeLimitV?: number | null;
	@Maybe() @Num(0.5, 4.5) dischargeLimitV?: number | null;
	@Maybe() @Num(-60, 100) chargeColdC?: number | null;
	@Maybe() @Num(0, 120) chargeHotC?: number | null;
	@Maybe() @Num(-60, 100) dischargeColdC?: number | null;
	@Maybe() @Num(0, 120) dischargeHotC?: number | null;
	@Maybe() @Num(0.01, 50) chargeCRate?: number | null;
	@Maybe() @Num(0.01, 50) dischargeCRate?: number | null;
	@Maybe() @Num(5, 1000) widthMm?: number | null;
	@Maybe() @Num(5, 1000) thicknessMm?: number | null;
	@Maybe() @Num(5, 1000) heightMm?: number | null;
	@Maybe() @Num(0.01, 100) massKg?: number | null;
	@Maybe() @Text(60) terminal?: string | null;
	@Maybe() @Num(1, 50) holeDepthMm?: number | null;
	@Maybe() @Num(0.1, 100) torqueNm?: number | null;
}

export class CellTypeInput extends CellFigures {
	@Text(80, 1) name!: string;
	@Maybe() @Text(80) maker?: string | null;
	@OneOf(CHEMISTRIES) chemistry!: Chemistry;
}

export class BankInput {
	@Text(80, 1) name!: string;
	@OneOf(BANK_USES) bankUse!: BankUse;
	@OneOf(CHEMISTRIES) chemistry!: Chemistry;
	@Whole(1, 128) series!: number;
	@Whole(1, 64) parallel!: number;
	@Whole(1, 32) batteries: number = 1;
	@Maybe() @Whole(1, 2 ** 31) cellTypeId?: number | null;
	@Maybe() @Text(4000) notes?: string | null;
	@Maybe() @When() inServiceOn?: string | null;
	@Num(0.3, 0.95) endFraction: number = 0.8;
}

export class DeliveryInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@Text(80, 1) name!: string;
	@When() receivedOn!: string;
	@Maybe() @Text(80) supplier?: string | null;
	@Maybe() @Text(4000) notes?: string | null;
}

/** A new delivery unpacks its cells at once. */
export class NewDeliveryInput extends DeliveryInput {
	@Whole(1, 2000) cellCount!: number;
	@Text(12, 1) labelPrefix: string = 'C';
	@Maybe() @Text(60) batch?: string | null;
}

export class CellInput {
	@Whole(1, 2 ** 31) deliveryId!: number;
	@Text(24, 1) label!: string;
	@Whole(1, 5000) position!: number;
	@Maybe() @Text(60) batch?: string | null;
	@Maybe() @Text(60) code?: string | null;
}

export class ReadingInput {
	@Whole(1, 2 ** 31) cellId!: number;
	@OneOf(QUANTITIES) quantity!: Quantity;
	/** As typed: number with or without unit; the server reads it and keeps it. */
	@Text(40, 1) rawText!: string;
	@Maybe() @Num(0, 1e9) restS?: number | null;
	@Maybe() @When() takenAt?: string;
	@Maybe() @Text(80) meter?: string | null;
	/** Given by the page so that a repeated send is stored once. */
	@Maybe() @Text(40) clientKey?: string;
}

/** A capacity result entered by hand. */
export class RunInput {
	@Whole(1, 2 ** 31) cellId!: number;
	@Num(0.001, 100_000) capacityAh!: number;
	@Maybe() @Num(0, 10_000) sdAh?: number | null;
	@Maybe() @Num(0, 1e6) energyWh?: number | null;
	@Maybe() @Num(0, 10) meanVoltageV?: number | null;
	@Maybe() @Num(-10_000, 10_000) currentA?: number | null;
	@Maybe() @Num(-60, 100) temperatureC?: number | null;
	@Maybe() @Num(0, 5) cutoffV?: number | null;
	@Maybe() @When() testedAt?: string;
	@Maybe() @Text(80) tester?: string | null;
}

export class PlacementInput {
	@Whole(1, 2 ** 31) cellId!: number;
	@Whole(1, 2 ** 31) bankId!: number;
	@Whole(1, 32) battery!: number;
	@Whole(1, 128) position!: number;
	@Maybe() @When() placedAt?: string;
	@Maybe() @When() removedAt?: string | null;
}

export class ServiceCheckInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@Whole(1, 32) battery: number = 1;
	@When() checkedAt!: string;
	@OneOf(CHECK_CONTEXTS) context!: CheckContext;
	@Num(-10_000, 10_000) currentA!: number;
	@Maybe() @Num(-60, 100) temperatureC?: number | null;
	/** One a group, position 1 first; null where not read. */
	@IsArray() @ArrayMinSize(1) @AtMost(128) groupVoltagesV!: (number | null)[];
	@Maybe() @Text(4000) notes?: string | null;
}

export class CapacityTestInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@Whole(1, 32) battery: number = 1;
	@When() testedAt!: string;
	@Num(0.001, 100_000) capacityAh!: number;
	@Num(0.0001, 10_000) sdAh!: number;
	@Num(0, 1e6) efc!: number;
	@Maybe() @Num(-60, 100) temperatureC?: number | null;
	@Maybe() @Text(4000) notes?: string | null;
}

export class NoteInput {
	@Whole(1, 2 ** 31) cellId!: number;
	@Text(4000, 1) text!: string;
	@Maybe() @When() writtenAt?: string;
}

export class BalanceRunInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@Num(0.5, 1000) supplyA!: number;
	@Num(0, 1) leadOhm!: number;
	@Maybe() @When() startedAt?: string | null;
	@Maybe() @When() endedAt?: string | null;
	/** Checklist item key → done. */
	@Maybe() @IsObject() checklist?: Record<string, boolean>;
}

export class BalanceReadingInput {
	@Whole(1, 2 ** 31) balanceRunId!: number;
	@When() readAt!: string;
	@Maybe() @Num(0, 100) supplyV?: number | null;
	@Num(0, 1000) supplyA!: number;
	@Maybe() @Num(0, 10) cellV?: number | null;
	@Maybe() @Num(0, 1e6) deliveredAh?: number | null;
}

export class LimitPlanInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@OneOf(STRATEGIES) strategy!: Strategy;
	@Maybe() @Num(1, 10_000) bmsA?: number | null;
	@Maybe() @Num(0.0001, 0.2) bmsResolutionV?: number | null;
	@Maybe() @Num(1, 10_000) fuseA?: number | null;
	@Maybe() @Num(1, 10_000) cableA?: number | null;
}

export class SettingsInput implements Settings {
	@OneOf(UNIT_SYSTEMS) units!: Settings['units'];
	@OneOf(DATE_STYLES) dateStyle!: Settings['dateStyle'];
	@OneOf(THEMES) theme!: Settings['theme'];
	@Num(0, 10) voltMeterPercent!: number;
	@Num(0, 200) voltMeterCountsMv!: number;
	@Num(0, 50) ohmMeterPercent!: number;
	@Num(0, 10) ohmMeterCountsMohm!: number;
}

export class MatchGroupsInput {
	/** Cell ids a group, group 1 first; groups of battery 1, then 2, … */
	@IsArray() @ArrayMinSize(1) @AtMost(4096) groups!: number[][];
	@ValidateIf((o: MatchGroupsInput) => o.placedAt !== undefined) @When() placedAt?: string;
}

export class BalanceQuestionInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@IsArray() @ArrayMinSize(2) @AtMost(128) groupVoltagesV!: number[];
	@Num(-10_000, 10_000) currentA!: number;
}
