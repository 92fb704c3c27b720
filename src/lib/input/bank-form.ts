import type { ConvertedQuantity, Settings } from '$lib/core/foundation/units';
import { formFields, type FieldKind } from './form-fields';

/** The maker's figures a person can give, in the order of a data sheet; null: one unit for everybody. */
export const CELL_TYPE_FIGURES = {
	ratedAh: null,
	acResistanceMohm: null,
	chargeLimitV: null,
	dischargeLimitV: null,
	chargeCRate: null,
	dischargeCRate: null,
	chargeColdC: 'temperature',
	chargeHotC: 'temperature',
	dischargeColdC: 'temperature',
	dischargeHotC: 'temperature',
	widthMm: 'length',
	thicknessMm: 'length',
	heightMm: 'length',
	massKg: 'mass',
	holeDepthMm: 'length',
	torqueNm: 'torque'
} as const satisfies Record<string, ConvertedQuantity | null>;
export type CellTypeFigure = keyof typeof CELL_TYPE_FIGURES;

/** Names of a cell type's fields in the form of a bank begin with this. */
export const TYPE_PREFIX = 'cellType.';

const BANK = {
	name: 'text',
	bankUse: 'text',
	chemistry: 'text',
	series: 'number',
	parallel: 'number',
	batteries: 'number',
	notes: 'text',
	endFraction: 'number',
	inServiceOn: 'text',
	version: 'number'
} satisfies Record<string, FieldKind>;
const TYPE = {
	name: 'text',
	maker: 'text',
	terminal: 'text',
	...Object.fromEntries(Object.entries(CELL_TYPE_FIGURES).map(([key, quantity]) => [key, quantity ?? 'number']))
} as Record<string, FieldKind>;

/**
 * The form of a bank as one request: its fields and, where its figures were shown, the cell type with it, new or changed.
 * `cellTypeChoice` is an id, or `new`.
 */
export function bankFromForm(form: FormData, units: Settings['units']): Record<string, unknown> {
	const bank: Record<string, unknown> = formFields(form, BANK);
	const { cellTypeChoice: choice } = formFields(form, { cellTypeChoice: 'number' });
	const chosen = typeof choice === 'number' ? choice : null;
	const type: Record<string, unknown> = formFields(form, TYPE, units, TYPE_PREFIX);
	const given = { ...bank, cellTypeId: chosen };
	if (!('name' in type)) return given;
	const { version } = formFields(form, { version: 'number' }, units, TYPE_PREFIX);
	const own = chosen === null ? {} : { id: chosen, version };
	return { ...given, cellType: { ...type, chemistry: bank.chemistry, ...own } };
}
