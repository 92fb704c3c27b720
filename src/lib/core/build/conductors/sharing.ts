import { sum } from 'd3-array';
import { requirePositive } from '../../foundation/errors';

/**
 * Share of the current each of several batteries in parallel carries while their charge is equal: by conductance of cells, leads and
 * joints. @param resistancesOhm of each, two or more; @returns fractions that sum to 1, same order
 * @throws CoreError `not-positive`
 */
export function currentShares(resistancesOhm: readonly number[]): number[] {
	const conductances = resistancesOhm.map((ohm, i) => 1 / requirePositive(ohm, `resistancesOhm.${i}`));
	const all = sum(conductances);
	return conductances.map((c) => c / all);
}

/**
 * Ω to add to the leads of each battery so that all carry the same: none to the one with most.
 * @throws CoreError `not-positive`
 */
export const leadsToAddOhm = (resistancesOhm: readonly number[]): number[] => {
	const most = Math.max(...resistancesOhm.map((ohm, i) => requirePositive(ohm, `resistancesOhm.${i}`)));
	return resistancesOhm.map((ohm) => most - ohm);
};
