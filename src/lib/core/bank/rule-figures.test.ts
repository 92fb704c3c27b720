import { describe, expect, it, vi } from 'vitest';
import { cellSubject } from '../foundation/verdicts';
import { sayAny } from './every-verdict';

type Bounds = Record<string, unknown>;
vi.mock('../test/verdicts/bounds', async (original) => ({ ...(await original<Bounds>()), LARGEST_CORRECTION: 0.07 }));
vi.mock('../limits/verdicts/bounds', async (original) => ({ ...(await original<Bounds>()), FUSE_MARGIN: 1.4 }));
vi.mock('../serve/verdicts/bounds', async (original) => ({ ...(await original<Bounds>()), WORN_CELLS_SD: 0.21 }));

const cell = cellSubject({ id: 1, label: 'H-01' });
const within = { low95: 0.1, likely: 0.2, high95: 0.3 };

describe('a rule names the figure that is applied', () => {
	it.each([
		['a correction', () => sayAny('correction-refused', 'look', cell, { reason: 'Too cold.' }), /larger than 7 %/],
		[
			'a fuse',
			() => sayAny('wiring-holds', 'calm', cell, { fuseA: 125, cableA: 150, bmsA: 100 } as never),
			/≥ 1\.4 × BMS/
		],
		[
			'worn cells',
			() => {
				const apart = { differenceV: { value: 0.1, sd: 0.01 }, currentA: 50, mOhm: within, heatW: 2, group: 1 };
				return sayAny('load-apart', 'look', cell, apart);
			},
			/21 % of the drop/
		]
	])('%s', (_, verdict, rule) => expect(verdict().rule).toMatch(rule));
});

/** What every definition is written in. */
const SOURCES = import.meta.glob(['../*/verdicts/*.ts', '../picture/verdicts.ts'], {
	query: '?raw',
	import: 'default',
	eager: true
}) as Record<string, string>;

/** Rules whose figures are no bound that a constant holds: names of quantities, characters of a code, how many leads. */
const BY_HAND = 16;

it('few figures are typed into a rule by hand, and no more than today', () => {
	const typed = Object.values(SOURCES).flatMap((text) => text.match(/rule: '[^']*\d[^']*'/g) ?? []);
	expect(typed.length).toBeLessThanOrEqual(BY_HAND);
});
