import type { Bench } from './bench-state';
import { join, refuse, setReadErrors } from './bench';

/**
 * Tightens the bars of one group of a battery in series, with everything off.
 * @param group from 1 @throws CoreError `live`, `group`
 */
export function tightenBars(bench: Bench, group: number): void {
	if (bench.supply.on || bench.load.on)
		refuse('live', 'tighten', 'Switch the supply and the load off before a bar is tightened.');
	const cells = bench.wiring === 'series' ? bench.joined?.groups[group - 1] : undefined;
	if (!cells) return refuse('group', 'tighten', `There is no group ${group} built in series here.`);
	bench.tightened = [...new Set([...bench.tightened, ...cells])];
	bench.joined = join(bench, 'series', bench.joined!.groups);
	setReadErrors(bench, bench.joined.guarded);
}

/** Puts one balance lead on its own node, firmly. @throws CoreError `plugged` while the plug is in, `lead` */
export function reseatLead(bench: Bench, lead: number): void {
	if (bench.plugged) refuse('plugged', 'reseatLead', 'Pull the plug of the balance leads before a lead is touched.');
	if (!(Number.isInteger(lead) && lead >= 0 && lead < bench.leadNodes.length))
		refuse('lead', 'reseatLead', `There is no balance lead ${lead}.`);
	bench.leadNodes = bench.leadNodes.map((node, k) => (k === lead ? lead : node));
}

/** Why nothing flows although an output is on: what the BMS holds back, and the group it reads furthest out; null: nothing holds it. */
export function heldBack(bench: Bench): { flow: 'charge' | 'discharge'; group: number; readV: number } | null {
	const guarded = bench.joined?.guarded;
	const bms = guarded?.bms;
	if (!guarded || !bms) return null;
	const flow =
		bench.load.on && bench.clips.load === 'pack' && bms.dischargeBlocked
			? 'discharge'
			: bench.supply.on && bench.clips.supply === 'pack' && bms.chargeBlocked
				? 'charge'
				: null;
	if (flow === null) return null;
	const volts = Array.from(guarded.readV);
	const readV = flow === 'discharge' ? Math.min(...volts) : Math.max(...volts);
	return { flow, group: volts.indexOf(readV) + 1, readV };
}
