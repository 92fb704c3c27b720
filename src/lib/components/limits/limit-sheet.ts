import Papa from 'papaparse';
import type { LimitValue } from '$lib/core/limits/values';

/** Decimals a value is set with, by unit. */
const DECIMALS: Record<LimitValue['unit'], (key: string) => number> = {
	V: (key) => (key === 'balanceTriggerV' ? 4 : key.startsWith('cell') || key === 'balanceStartV' ? 3 : 2),
	A: () => 1,
	'°C': () => 0,
	Ah: () => 1
};

/** A limit's value as a person sets it. */
export function limitText(value: number, { unit, key }: Pick<LimitValue, 'unit' | 'key'>): string {
	return value.toFixed(DECIMALS[unit](key));
}

/** The sheet as CSV, for a spreadsheet: no field starts like a formula, as every text is the product's own. */
export function limitsCsv(values: readonly LimitValue[]): string {
	return Papa.unparse(
		{
			fields: ['device', 'key', 'label', 'value', 'unit', 'release', 'delayS', 'releaseHeldS', 'reason'],
			data: values.map((v) => [
				v.device,
				v.key,
				v.label,
				v.value,
				v.unit,
				v.release,
				v.delayS,
				v.releaseHeldS,
				v.reason
			])
		},
		{ newline: '\r\n' }
	);
}

/** The sheet as plain text, for a message or a note. */
export function limitsText(bank: string, values: readonly LimitValue[]): string {
	return [
		bank,
		...values.map(
			(v) =>
				`${v.device}: ${v.label} ${limitText(v.value, v)} ${v.unit}${v.release === null || v.unit === 'A' ? '' : `, release ${limitText(v.release, v)} ${v.unit}`}${v.delayS === null ? '' : `, delay ${v.delayS} s`}${v.releaseHeldS === null ? '' : `, release held for ${v.releaseHeldS / 60} min`}`
		)
	].join('\n');
}
