import { judgeBalanceLeads, type LeadCode } from '$lib/core/build/leads';
import { createCells, terminalVoltageV } from '$lib/core/world/cell-model';
import { normalDraw, type Random } from '$lib/core/foundation/statistics';
import type { Answer, Question } from '../answer';
import { drawMeter } from '../meter';
import { between, drawCell, oneOf } from '../world';

interface Harness {
	code: LeadCode;
	leads: number[];
	/** What each lead stands at, from the voltages of the nodes, V. */
	volts: number[];
}

const KINDS = ['exchanged', 'exchanged', 'block-reversed', 'open', 'wrong-node', 'doubled', 'polarity'] as const;

/** A harness as somebody crimped it: half of them right, the others with one fault. */
function crimp(random: Random, nodes: readonly number[]): Harness {
	const series = nodes.length - 1;
	const volts = [...nodes];
	const lead = (least = 0, most = series) => least + Math.floor(random() * (most - least + 1));
	if (random() < 0.5) return { code: 'right', leads: [], volts };
	switch (oneOf(random, KINDS)) {
		case 'exchanged': {
			const a = lead(0, series - 1);
			const b = random() < 0.7 ? a + 1 : lead(a + 1);
			[volts[a], volts[b]] = [nodes[b]!, nodes[a]!];
			return { code: 'exchanged', leads: [a, b], volts };
		}
		case 'block-reversed': {
			const from = lead(0, series - 3);
			const to = lead(from + 3, from === 0 ? series - 1 : series);
			for (let k = from; k <= to; k++) volts[k] = nodes[from + to - k]!;
			return { code: 'block-reversed', leads: Array.from({ length: to - from + 1 }, (_, i) => from + i), volts };
		}
		case 'open': {
			const k = lead();
			volts[k] = random() < 0.6 ? Math.abs(normalDraw(random, 0, 0.02)) : between(random, 0, nodes[series]!);
			return { code: 'open', leads: [k], volts };
		}
		case 'wrong-node': {
			const k = lead();
			const others = nodes.map((_, n) => n).filter((n) => Math.abs(n - k) >= 2);
			volts[k] = nodes[oneOf(random, others)]!;
			return { code: 'wrong-node', leads: [k], volts };
		}
		case 'doubled': {
			const k = lead(1);
			volts[k] = nodes[k - 1]!;
			return { code: 'doubled', leads: [k - 1, k], volts };
		}
		case 'polarity':
			return { code: 'polarity', leads: [], volts: [...nodes].reverse() };
	}
}

/** A second thing wrong now and then: neighbours exchanged, or a lead open, away from the first. */
function twice(random: Random, nodes: readonly number[], { code, leads, volts }: Harness): Harness {
	const series = nodes.length - 1;
	const single = ['exchanged', 'open', 'wrong-node'].includes(code);
	if (!single || series < 8 || random() < 0.8) return { code, leads, volts };
	const free = nodes.map((_, k) => k).filter((k) => k > 0 && leads.every((lead) => Math.abs(lead - k) > 2));
	const k = oneOf(random, free);
	const both = [...volts];
	const second = k < series && !leads.includes(k + 1) && random() < 0.6 ? [k, k + 1] : [k];
	if (second.length === 2) [both[k], both[k + 1]] = [nodes[k + 1]!, nodes[k]!];
	else both[k] = Math.abs(normalDraw(random, 0, 0.02));
	return { code: 'two-faults', leads: [...leads, ...second].sort((a, b) => a - b), volts: both };
}

/** How the balance leads sit, from a reading of each. */
export const leads: Question = {
	name: 'balance leads',
	ask(world): Answer[] {
		const { random, nature } = world;
		const series = oneOf(random, [4, 8, 16]);
		const meter = drawMeter(random, 'restVoltage');
		const again = drawMeter(random, 'restVoltage');
		const soc = between(random, 0.2, 1);
		const specs = Array.from({ length: series }, () => ({
			parameters: drawCell(world),
			soc: soc + normalDraw(random, 0, 0.01),
			branch: between(random, -1, 1)
		}));
		const cells = createCells(specs, 25, nature);
		const cellV = specs.map((_, i) => terminalVoltageV(cells, i, 0));
		const nodes = cellV.reduce((all, v) => [...all, all[all.length - 1]! + v], [0]);
		const harness = twice(random, nodes, crimp(random, nodes));
		const known =
			random() < 0.5
				? { cellsV: cellV.map(again.read) }
				: { low: Math.min(...cellV) - between(random, 0, 0.2), high: Math.max(...cellV) + between(random, 0, 0.2) };
		const readingsV = harness.volts.map(meter.read);
		// Lead 0 was read against battery positive as well: an open one floats there, too.
		const isOpen = harness.code === 'open' && harness.leads.includes(0);
		const zeroV = isOpen ? 0 : harness.volts[0]! - nodes[series]!;
		const positiveV = [meter.read(zeroV), ...Array.from({ length: series }, () => null)];
		const input = { series, cells: known, readingsV, positiveV, meterSdV: meter.sd(3.3) };
		const { explanations, pass } = judgeBalanceLeads(input);
		const [top] = explanations;
		const isTop = top!.code === harness.code && top!.leads.join() === harness.leads.join();
		return [
			{ kind: 'probability', of: 'the likeliest explanation of the leads', stated: top!.probability, happened: isTop },
			{ kind: 'defect', of: 'balance lead wrong, not passed', present: harness.code !== 'right', called: !pass }
		];
	}
};
