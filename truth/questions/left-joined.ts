import { createCells, terminalVoltageV } from '$lib/core/world/cell-model';
import { leftJoined } from '$lib/core/balance/joining';
import { normalDraw } from '$lib/core/foundation/statistics';
import { simulate } from '$lib/core/world/simulation';
import type { Answer, Question } from '../answer';
import { drawMeter } from '../meter';
import { between, drawCell } from '../world';

const APART_H = 12;
const HOUR_S = 3600;

/** Cells that are joined in a row and left alone for half a day: what moved, and what is left. */
export const leftAlone: Question = {
	name: 'left joined',
	costly: true,
	ask(world): Answer[] {
		const { random, nature, ratedAh } = world;
		const middle = between(random, 0.15, 0.85);
		const apart = between(random, 0.02, 0.2);
		const side = between(random, -1, 1);
		const cells = Array.from({ length: 3 }, (_, id) => ({
			...drawCell(world),
			id,
			soc: Math.min(0.97, Math.max(0.05, middle + apart * (random() - 0.5))),
			// Cells of one lot came by the same side of their loop, more or less.
			branch: Math.min(1, Math.max(-1, side + normalDraw(random, 0, 0.2)))
		}));
		const meter = drawMeter(random, 'restVoltage');
		const rested = createCells(
			cells.map(({ id: _, soc, branch, ...parameters }) => ({ parameters, soc, branch })),
			25,
			nature
		);
		const items = cells.map((c, i) => {
			const restVoltageV = meter.read(terminalVoltageV(rested, i, 0));
			return { id: c.id, restVoltageV, sdV: meter.pairSd, capacityAh: ratedAh };
		});
		const linkOhm = between(random, 0.0001, 0.002);
		const [told] = leftJoined({ chemistry: 'LFP', items, linkOhm }, [APART_H]);
		const result = simulate({
			world: { chemistry: 'LFP', cells, wiring: { kind: 'parallel', linkOhm }, nature, seed: 1 },
			steps: [{ kind: 'rest', until: { durationS: APART_H * HOUR_S } }],
			stepS: 20,
			recordEveryS: APART_H * HOUR_S
		});
		const socs = cells.map((c) => result.cells[c.id]!.soc);
		const moved = socs.reduce((sum, s, i) => sum + Math.abs(s.at(-1)! - s[0]!) * cells[i]!.capacityAh, 0) / 2;
		const last = socs.map((s) => s.at(-1)!);
		const left = (Math.max(...last) - Math.min(...last)) * ratedAh;
		const of = (what: string, { low95, high95 }: { low95: number; high95: number }, truth: number): Answer => ({
			kind: 'interval',
			of: what,
			low: low95,
			high: high95,
			truth,
			scale: ratedAh
		});
		return [
			of('moved by half a day of standing joined', told!.movedAh, moved),
			of('apart after half a day of standing joined', told!.leftAh, left)
		];
	}
};
