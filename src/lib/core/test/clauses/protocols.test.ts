import { describe, expect, it } from 'vitest';
import { answersClause, builtInProtocols, clauseStrip, type Protocol } from '.';
import type { Clause } from '../../picture';

const limits = { chargeLimitV: 3.65, dischargeLimitV: 2.5, chargeCRate: 0.5 };
const clause: Clause = {
	kind: 'minimum',
	capacityAh: 280,
	chargeV: 3.6,
	tailCRate: 0.02,
	restH: 3,
	dischargeCRate: 0.5,
	cutoffV: 2.6,
	temperatureC: 25
};
const [full, quick, gentle] = builtInProtocols(limits, clause) as [Protocol, Protocol, Protocol];
const runBy = ({ dischargeCRate, restH, cutoffV }: Protocol) => ({
	startedFull: true,
	restH,
	cRate: dischargeCRate,
	temperatureC: 25,
	cutoffV,
	tester: 'A',
	endedEarly: false,
	tooFar: false
});

describe('protocols that need nobody to write them down', () => {
	it('the maker’s is the clause’s, and a run by it keeps all of it', () => {
		expect(full).toMatchObject({ chargeV: 3.6, tailCRate: 0.02, restH: 3, dischargeCRate: 0.5, cutoffV: 2.6 });
		expect(clauseStrip(clause, runBy(full), 'LFP').every((t) => t.state === 'kept')).toBe(true);
	});
	it('without a clause it is as usual', () =>
		expect(builtInProtocols(limits, null)[0]).toMatchObject({ chargeV: 3.65, dischargeCRate: 0.2, cutoffV: 2.5 }));
	it('a gentle run ends too early to answer the promise', () => {
		expect(gentle.cutoffV).toBeCloseTo(2.8, 9);
		expect(gentle.chargeV!).toBeLessThan(limits.chargeLimitV);
		expect(answersClause(clauseStrip(clause, runBy(gentle), 'LFP'))).toBe(false);
	});
	it('a warm box and the cold: charged in the room, left there until it is through, within any maker’s limits', () => {
		const held = builtInProtocols(limits, null).filter((p) => p.temperatureC !== null);
		expect(held.map((p) => [p.temperatureC, p.restH])).toEqual([
			[35, 12],
			[0, 12]
		]);
	});
	it('none charges faster than the maker allows', () => {
		const slow = builtInProtocols({ ...limits, chargeCRate: 0.2 }, null);
		expect(slow.map((p) => p.chargeCRate)).toEqual([0.2, 0.2, 0.1, 0.2, 0.2]);
		expect(quick.dischargeCRate).toBe(0.5);
	});
});
