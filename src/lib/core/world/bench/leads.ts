import { CoreError } from '../../foundation/errors';
import type { Scenario } from './scenario';

/** Where an open lead floats between its neighbours (share of the two groups' voltage): far enough to be seen. */
const OPEN_FLOATS_AT = 0.35;

/** Node that each balance lead sits on, lead 0 first; null: on none. */
export type LeadNodes = readonly (number | null)[];

/** How the leads of a harness sit as it is delivered. */
export function leadNodesOf(
	series: number,
	{ swappedLeads, openLead }: Pick<Scenario['bms'], 'swappedLeads' | 'openLead'>
): LeadNodes {
	const nodes: (number | null)[] = Array.from({ length: series + 1 }, (_, k) => k);
	if (swappedLeads && Math.max(...swappedLeads) <= series)
		[nodes[swappedLeads[0]], nodes[swappedLeads[1]]] = [swappedLeads[1], swappedLeads[0]];
	if (openLead !== null && openLead <= series) nodes[openLead] = null;
	return nodes;
}

/** The harness with two leads exchanged at its plug. @throws CoreError `lead` when one is not there */
export function exchangedLeads(nodes: LeadNodes, [a, b]: readonly [number, number]): LeadNodes {
	for (const lead of [a, b])
		if (!(Number.isInteger(lead) && lead >= 0 && lead < nodes.length))
			throw new CoreError('lead', 'exchangeLeads', `There is no balance lead ${lead}.`);
	return nodes.map((node, k) => (k === a ? nodes[b]! : k === b ? nodes[a]! : node));
}

/**
 * What wrong balance leads add to the reading of each group, V. Lead k should stand at the sum of groups 1…k; a reading is the
 * difference of two neighbouring leads.
 * @param groupV true volts a group, group 1 first
 */
export function leadErrorsV(groupV: ArrayLike<number>, nodes: LeadNodes): number[] {
	const groups = groupV.length;
	const nodeV = [0];
	for (let g = 0; g < groups; g++) nodeV.push(nodeV[g]! + groupV[g]!);
	const seen = nodeV.map((own, k) => nodeV[nodes[k] ?? k] ?? own);
	nodes.forEach((node, k) => {
		if (node !== null || k === 0 || k > groups) return;
		const [low, high] = [seen[k - 1]!, seen[k + 1]];
		seen[k] = high === undefined ? low : low + OPEN_FLOATS_AT * (high - low);
	});
	return Array.from({ length: groups }, (_, g) => seen[g + 1]! - seen[g]! - groupV[g]!);
}
