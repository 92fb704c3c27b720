import type { Scenario } from './scenario';

/** Where an open lead floats between its neighbours (share of the two groups' voltage): far enough to be seen. */
const OPEN_FLOATS_AT = 0.35;

/**
 * What wrong balance leads add to the reading of each group, V. Lead k stands at the sum of groups 1…k; a reading is the
 * difference of two neighbouring leads.
 * @param groupV true volts a group, group 1 first
 */
export function leadErrorsV(
	groupV: ArrayLike<number>,
	faults: Pick<Scenario['bms'], 'swappedLeads' | 'openLead'>
): number[] {
	const groups = groupV.length;
	const nodes = [0];
	for (let g = 0; g < groups; g++) nodes.push(nodes[g]! + groupV[g]!);
	const seen = [...nodes];
	const { swappedLeads, openLead } = faults;
	if (swappedLeads && Math.max(...swappedLeads) <= groups)
		[seen[swappedLeads[0]], seen[swappedLeads[1]]] = [nodes[swappedLeads[1]]!, nodes[swappedLeads[0]]!];
	if (openLead !== null && openLead < groups)
		seen[openLead] = seen[openLead - 1]! + OPEN_FLOATS_AT * (seen[openLead + 1]! - seen[openLead - 1]!);
	if (openLead !== null && openLead === groups) seen[openLead] = seen[openLead - 1]!;
	return Array.from({ length: groups }, (_, g) => seen[g + 1]! - seen[g]! - groupV[g]!);
}
