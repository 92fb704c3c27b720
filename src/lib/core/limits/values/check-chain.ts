import { WHOLE_BANK, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import type { LimitValue } from './limit-value';

/**
 * Checks a set of values as a chain: load cut-off above pack low above the cells' trip, absorb below pack high below
 * the cells' trip, releases inside the limits, cold charge apart from cold discharge. Values missing from the list
 * are not judged.
 * @param series cells in series, to compare pack with cell values
 * @param subject the battery they are for
 * @returns what is out of order, or that nothing is
 */
export function checkChain(values: readonly LimitValue[], series: number, subject: Subject = WHOLE_BANK): Verdict {
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
	const broken = links.flatMap(([lowName, low, highName, high]) =>
		low !== null && high !== null && !(low < high) ? [{ lowName, low, highName, high }] : []
	);
	const releases = values.flatMap(({ key, label, value, release, unit }) => {
		const never =
			release !== null &&
			((/High|Hot/.test(key) && release >= value) || (/Low|Cold|Cutoff/.test(key) && release <= value));
		return never ? [{ name: label, trip: value, release, unit }] : [];
	});
	return broken.length + releases.length
		? say('chain-broken', 'stop', subject, { links: broken, releases })
		: say('chain-holds', 'calm', subject, { links: links.length });
}
