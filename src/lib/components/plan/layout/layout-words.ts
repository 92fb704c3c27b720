import type { Layout, LayoutRefusal } from '$lib/core/plan/layouts';

export const REFUSALS: Record<LayoutRefusal, string> = {
	'too-many-amps': 'no BMS carries its amperes',
	'cells-too-weak': 'the cells do not give the peak',
	'charge-too-fast': 'the chargers are too strong for the cells',
	'too-many-parallel': 'more than 8 cells side by side hide a failed one'
};

/** `8S2P`, `2 × 4S2P`. */
export const layoutName = ({ series, parallel, batteries }: Layout): string =>
	`${batteries > 1 ? `${batteries} × ` : ''}${series}S${parallel}P`;

/** What tells one layout from all others. */
export const layoutKey = (layout: Layout): string => `${layout.cell.id} ${layoutName(layout)}`;

/** Money as it is read: no hundredths from a hundred on. */
export const money = (value: number, currency: string): string =>
	`${value.toFixed(Math.abs(value) < 100 ? 2 : 0)} ${currency}`;
