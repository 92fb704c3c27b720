import { Type } from 'class-transformer';
import { ArrayMinSize, IsArray, IsDefined, IsInt, IsObject, ValidateNested } from 'class-validator';
import { CHECK_CONTEXTS, type CheckContext } from '$lib/core/serve/years';
import { LIVE_KINDS, type LiveKind } from '$lib/core/foundation/live-run';
import { DEFECT_KINDS, type DefectKind } from '$lib/core/world/rehearsal';
import { AtMost, ClientKey, Maybe, Num, OneOf, Text, Whole, YesNo } from './fields';

export class LivePhaseInput {
	@OneOf(['charge', 'rest', 'discharge', 'watch']) kind!: 'charge' | 'rest' | 'discharge' | 'watch';
	@Maybe() @Num(0.01, 1000) voltageV?: number;
	@Maybe() @Num(0.001, 5000) currentA?: number;
	@Maybe() @Num(0.001, 5000) tailA?: number;
	@Maybe() @Num(0, 86_400) holdS?: number;
	@Maybe() @Num(0.001, 100_000) stopAh?: number;
	@Maybe() @Num(1, 2_592_000) durationS?: number;
	@Maybe() @Num(0.1, 1000) cutoffV?: number;
}

/** Which instrument does what in a live run, by its id in the address book. */
export class LiveInstrumentsInput {
	@Maybe() @Whole(1, 2 ** 31) supply?: number | null;
	@Maybe() @Whole(1, 2 ** 31) load?: number | null;
	@Maybe() @Whole(1, 2 ** 31) voltmeter?: number | null;
	@Maybe() @Whole(1, 2 ** 31) bms?: number | null;
	@Maybe() @Whole(1, 2 ** 31) shunt?: number | null;
}

export class LiveRunInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@OneOf(LIVE_KINDS) kind!: LiveKind;
	@Maybe() @Whole(1, 2 ** 31) cellId?: number | null;
	@Maybe() @Whole(1, 2 ** 31) balanceRunId?: number | null;
	@IsDefined({ message: 'instruments is required' })
	@IsObject()
	@ValidateNested()
	@Type(() => LiveInstrumentsInput)
	instruments!: LiveInstrumentsInput;
	@IsArray()
	@ArrayMinSize(1)
	@AtMost(4)
	@ValidateNested({ each: true })
	@Type(() => LivePhaseInput)
	phases!: LivePhaseInput[];
	@Maybe() @Num(-60, 100) temperatureC?: number | null;
	/** Run at this temperature on purpose, °C. */
	@Maybe() @Num(-40, 80) heldAtC?: number | null;
	/** Time between samples; chosen by the instruments' clock when missing. */
	@Maybe() @Whole(10, 600_000) intervalMs?: number | null;
	/** Outputs are switched off when no sample has come for this long. */
	@Maybe() @Whole(3, 3600) deadManS?: number | null;
}

/** The values as they were shown, word for word: what was not seen is not switched on. */
export class LiveConfirmInput {
	@IsArray() @AtMost(20) confirmed!: string[];
}

export class RehearsalInput {
	/** One of the ready scenarios, a seed, or a whole scenario. */
	@Maybe() @Text(40, 1) ready?: string;
	@Maybe() @Whole(0, 2 ** 32 - 1) seed?: number;
	@Maybe() @IsObject() scenario?: Record<string, unknown>;
}

export class FindingInput {
	@OneOf(DEFECT_KINDS) kind!: DefectKind;
	@Maybe() @Text(24, 1) where?: string | null;
}

export class ConclusionsInput {
	@IsArray()
	@AtMost(100)
	@ValidateNested({ each: true })
	@Type(() => FindingInput)
	conclusions!: FindingInput[];
}

/** What the groups of a watched battery read now, kept as a check. */
export class WatchedCheckInput {
	@OneOf(CHECK_CONTEXTS) context!: CheckContext;
	@Maybe() @Whole(1, 32) battery?: number | null;
}

export class MeasureInput {
	@Whole(1, 2 ** 31) cellId!: number;
	@Whole(1, 2 ** 31) instrumentId!: number;
	@Maybe() @ClientKey() clientKey?: string;
}

/** Where a battery is read: a balance lead against battery negative, a group, or by the BMS all groups at once. */
export class ReadBatteryInput {
	@Whole(1, 2 ** 31) instrumentId!: number;
	@Maybe() @Whole(0, 128) lead?: number | null;
	/** The lead against battery positive instead of negative. */
	@Maybe() @YesNo() positive?: boolean | null;
	@Maybe() @Whole(1, 128) group?: number | null;
	/** A loose cell, at its own terminals. */
	@Maybe() @Whole(1, 2 ** 31) cellId?: number | null;
	/** The bank’s first when missing. */
	@Maybe() @Whole(1, 2 ** 31) batteryId?: number | null;
}

export class HandsInput {
	@Maybe() @OneOf(['loose', 'parallel', 'series']) wire?: 'loose' | 'parallel' | 'series';
	/** Of a battery in series: whether its balance leads are plugged into the BMS; they are when missing. */
	@Maybe() @YesNo() plugged?: boolean;
	/** Two balance leads to be exchanged in their plug, while it is out. */
	@Maybe() @IsArray() @ArrayMinSize(2) @AtMost(2) @IsInt({ each: true }) exchangeLeads?: number[];
	/** A balance lead to be put firmly on its own node, while the plug is out. */
	@Maybe() @Whole(0, 128) reseatLead?: number;
	/** Group whose bars are tightened, from 1, with everything off. */
	@Maybe() @Whole(1, 128) tightenGroup?: number;
	@Maybe() @Num(1, 10_000) timeFactor?: number;
	/** The load on the row or battery, switched on with so many amperes; 0: off. */
	@Maybe() @Num(0, 1000) loadA?: number;
	/** The supply on the row or battery, switched on with so many amperes at its usual full voltage; 0: off. */
	@Maybe() @Num(0, 1000) chargeA?: number;
	@Maybe() @Num(1, 7_776_000) skipS?: number;
	/** Where the voltmeter's probes go: a cell's id, a balance lead, the supply's terminals, the whole row or battery. */
	@Maybe() @Whole(1, 2 ** 31) probeCellId?: number;
	@Maybe() @Whole(0, 128) probeLead?: number;
	@Maybe() @OneOf(['supply', 'pack']) probe?: 'supply' | 'pack';
}
