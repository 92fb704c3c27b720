import { CHEMISTRIES, type Chemistry } from '$lib/core/foundation/chemistry';
import { CellFigures } from '$lib/input/cell-figures';
import { Maybe, OneOf, Text, YesNo } from '$lib/input/fields';

export class CellTypeInput extends CellFigures {
	@Text(80, 1) name!: string;
	@Maybe() @Text(80) maker?: string | null;
	@OneOf(CHEMISTRIES) chemistry!: Chemistry;
}

export class StoredCellTypeInput extends CellTypeInput {
	@Maybe() @YesNo() rehearsal?: boolean;
}
