import { IsArray, IsObject } from 'class-validator';
import { CHEMISTRIES, type Chemistry } from '$lib/core/foundation/chemistry';
import { LIVE_KINDS, type LiveKind, type LiveState } from '$lib/core/foundation/live-run';
import { AtMost, Maybe, Num, OneOf, Text, When, Whole } from '$lib/input/fields';
import { LIVE_RUN_STATES, type LiveInstrument, type LiveRunState } from './row';

/** A live run as a bank's file holds it. */
export class StoredLiveRunInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@Maybe() @Whole(1, 2 ** 31) cellId?: number | null;
	@Maybe() @Whole(1, 2 ** 31) balanceRunId?: number | null;
	@Maybe() @Whole(1, 2 ** 31) runId?: number | null;
	@OneOf(LIVE_KINDS) kind!: LiveKind;
	@OneOf(LIVE_RUN_STATES) state!: LiveRunState;
	@IsArray() @AtMost(5) instruments!: LiveInstrument[];
	@IsArray() @AtMost(4) phases!: object[];
	@Whole(10, 600_000) intervalMs!: number;
	@Whole(3, 3600) deadManS!: number;
	@Maybe() @Num(0, 1e6) expectedAh?: number | null;
	@Maybe() @OneOf(CHEMISTRIES) chemistry?: Chemistry | null;
	@Maybe() @Num(-60, 100) temperatureC?: number | null;
	@Maybe() @Num(-40, 80) heldAtC?: number | null;
	@Maybe() @When() startedAt?: string | null;
	@Maybe() @When() endedAt?: string | null;
	@Maybe() @Text(200) endedBy?: string | null;
	@IsObject() progress!: LiveState;
}
