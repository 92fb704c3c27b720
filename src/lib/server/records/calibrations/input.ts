import { Type } from 'class-transformer';
import { ArrayMinSize, IsArray, ValidateNested } from 'class-validator';
import { CALIBRATED, type Calibrated } from '$lib/core/foundation/reading';
import { AtMost, ClientKey, Maybe, Num, OneOf, Text, When } from '$lib/input/fields';

export class CalibrationPairInput {
	@Num(-1e6, 1e6) shown!: number;
	@Num(-1e6, 1e6) truth!: number;
}

/** A meter held against a better one, in the unit its quantity is kept in. */
export class CalibrationInput {
	@OneOf(CALIBRATED) quantity!: Calibrated;
	/** As its readings or runs name it; missing: the meter of the settings, or the tester nobody named. */
	@Maybe() @Text(80) meter?: string | null;
	@When() calibratedOn!: string;
	@Maybe() @Text(80) by?: string | null;
	/** One standard deviation of the better meter. */
	@Num(0, 1e6) truthSd!: number;
	@IsArray()
	@ArrayMinSize(1)
	@AtMost(100)
	@ValidateNested({ each: true })
	@Type(() => CalibrationPairInput)
	pairs!: CalibrationPairInput[];
	@Maybe() @ClientKey() clientKey?: string;
}
