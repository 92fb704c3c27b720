import { CHEMISTRIES, type Chemistry } from '$lib/core/foundation/chemistry';
import { BANK_USES, type BankUse } from '$lib/core/picture';
import { Maybe, Num, OneOf, Text, When, Whole, YesNo } from '$lib/input/fields';

export class BankInput {
	@Text(80, 1) name!: string;
	@OneOf(BANK_USES) bankUse!: BankUse;
	@OneOf(CHEMISTRIES) chemistry!: Chemistry;
	/** Layout of each battery built here, and their number: batteries and groups follow it. */
	@Whole(1, 128) series!: number;
	@Whole(1, 64) parallel!: number;
	@Whole(1, 32) batteries: number = 1;
	@Maybe() @Whole(1, 2 ** 31) cellTypeId?: number | null;
	@Maybe() @Text(4000) notes?: string | null;
	@Maybe() @When() inServiceOn?: string | null;
	@Num(0.3, 0.95) endFraction: number = 0.8;
}

export class StoredBankInput extends BankInput {
	@Maybe() @YesNo() rehearsal?: boolean;
}
