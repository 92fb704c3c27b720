import fc from 'fast-check';
import type { Knex } from 'knex';
import { afterAll, beforeAll, it } from 'vitest';
import { groups } from '$lib/server/records';
import { acceptMatch } from '$lib/server/stages/match/accept';
import { freshDatabase } from '../support/database';
import { bankWith, expectInvariants, expectRefusals, settled } from '../support/invariants';
import { change, make, remove, restore } from '../support/records';

let pool: Knex;
beforeAll(async () => void (pool = await freshDatabase('storm')));
afterAll(() => pool.destroy());

it('whatever several people do at once, every rule still holds', { timeout: 300_000 }, async () => {
	const here = [await bankWith('Storm A', 5, { batteries: 2 }), await bankWith('Storm B', 4, { parallel: 2 })];
	const crate = here.flatMap((h) => h.crate);
	const cell = fc.integer({ min: 0, max: crate.length - 1 });
	const which = fc.integer({ min: 0, max: 1 });
	const deed = fc.oneof(
		fc.record({ kind: fc.constant('place' as const), cell, which, place: fc.integer({ min: 0, max: 3 }) }),
		fc.record({ kind: fc.constant('end' as const), which, nth: fc.nat(5) }),
		fc.record({ kind: fc.constant('reopen' as const), which, nth: fc.nat(9), cell }),
		fc.record({ kind: fc.constant('remove' as const), which, nth: fc.nat(5) }),
		fc.record({ kind: fc.constant('restore' as const), nth: fc.nat(9) }),
		fc.record({ kind: fc.constant('consider' as const), which, cell }),
		fc.record({ kind: fc.constant('match' as const), which, order: fc.array(cell, { minLength: 8, maxLength: 8 }) }),
		fc.record({ kind: fc.constant('layout' as const), which, batteries: fc.integer({ min: 1, max: 3 }) })
	);
	const nthPlacement = async (bankId: number | null, nth: number) => {
		const query = pool('placed').orderBy('id', 'desc').offset(nth).limit(1);
		if (bankId !== null) void query.where({ bank_id: bankId, deleted_at: null });
		return (await query.first('id', 'version')) as { id: number; version: number } | undefined;
	};
	type WriteAction = typeof deed extends fc.Arbitrary<infer D> ? D : never;
	async function run(d: WriteAction): Promise<unknown> {
		const bank = 'which' in d ? here[d.which]!.bank : here[0]!.bank;
		const p = 'nth' in d ? await nthPlacement(d.kind === 'restore' ? null : bank.id, d.nth) : undefined;
		switch (d.kind) {
			case 'place': {
				const own = await groups.all({
					batteryId: (await pool('batteries').where({ bank_id: bank.id }).pluck('id')) as number[]
				});
				return make('placements', { cellId: crate[d.cell]!.id, groupId: own[d.place % own.length]!.id });
			}
			case 'end':
				return (
					p && change('placements', p.id, { version: p.version, removedAt: new Date(Date.now() + 1000).toISOString() })
				);
			case 'reopen':
				return p && change('placements', p.id, { version: p.version, removedAt: null, cellId: crate[d.cell]!.id });
			case 'remove':
				return p && remove('placements', p.id, p.version);
			case 'restore':
				return p && restore('placements', p.id);
			case 'consider':
				return make('candidates', { bankId: bank.id, cellId: crate[d.cell]!.id });
			case 'match': {
				const { series, parallel, batteries } = (await pool('banks').where({ id: bank.id }).first())!;
				const ids = [...new Set(d.order.map((i) => crate[i]!.id))];
				const cells = Array.from({ length: series * batteries }, (_, g) => ids.slice(g * parallel, (g + 1) * parallel));
				return acceptMatch(bank.id, { groups: cells });
			}
			case 'layout': {
				const { version } = (await pool('banks').where({ id: bank.id }).first('version'))!;
				return change('banks', bank.id, { version, batteries: d.batteries });
			}
		}
	}
	await fc.assert(
		fc.asyncProperty(fc.array(deed, { minLength: 4, maxLength: 10 }), async (deeds) => {
			expectRefusals(await settled(deeds.map(run)));
			await expectInvariants();
		}),
		{ numRuns: 40, seed: 20_260_309 }
	);
});
