import { warmestFirst, type Verdict } from '../shared';
import type { LimitValue } from './limits';

/**
 * Checks a set of values as a chain: load cut-off above pack low above the cells' trip, absorb below pack high below
 * the cells' trip, releases inside the limits, cold charge apart from cold discharge. Values missing from the list
 * are not judged.
 * @param series cells in series, to compare pack with cell values
 * @returns one verdict a broken link, or a single calm one
 */
export function checkChain(values: readonly LimitValue[], series: number): Verdict[] {
	const of = (key: string) => values.find((v) => v.key === key)?.value ?? null;
	const cell = (key: string) => (of(key) === null ? null : of(key)! * series);
	const links: [string, number | null, string, number | null][] = [
		['Float', of('floatV'), 'absorb', of('absorbV')],
		['Absorb', of('absorbV'), 'pack high', of('packHighV')],
		['Pack high', of('packHighV'), 'all cells at cell high', cell('cellHighV')],
		['All cells at cell low', cell('cellLowV'), 'pack low', of('packLowV')],
		['Pack low', of('packLowV'), 'load cut-off', of('loadCutoffV')],
		['Load cut-off', of('loadCutoffV'), 're-bulk', of('rebulkV')],
		['Balance start', cell('balanceStartV'), 'absorb', of('absorbV')],
		['Discharge cold', of('dischargeColdC'), 'charge cold', of('chargeColdC')]
	];
	const broken = links
		.filter(([, low, , high]) => low !== null && high !== null && !(low < high))
		.map(([lowName, low, highName, high]) =>
			broke(`${lowName} must stay below ${highName}`, `${low} is not below ${high}.`)
		);
	const releases = values
		.filter(
			(v) =>
				v.release !== null &&
				((/High|Hot/.test(v.key) && v.release >= v.value) || (/Low|Cold/.test(v.key) && v.release <= v.value))
		)
		.map((v) => broke(`${v.label} never releases properly`, `Trip ${v.value}, release ${v.release} ${v.unit}.`));
	const faults = [...broken, ...releases];
	return faults.length
		? warmestFirst(faults)
		: [
				{
					code: 'chain-holds',
					warmth: 'calm',
					title: 'The chain of limits holds',
					finding: `${links.length} links and every release checked.`,
					doubt: 'Checked on paper: a trip is proved only by making it happen.',
					rule: 'Charger below BMS, BMS below cell, load cut-off above BMS, releases inside limits.',
					next: null,
					cellIds: []
				}
			];
}

function broke(title: string, finding: string): Verdict {
	return {
		code: 'chain-broken',
		warmth: 'stop',
		title,
		finding,
		doubt: null,
		rule: 'The chain must act in order.',
		next: 'Correct the maker’s figures or choose another strategy.',
		cellIds: []
	};
}
