import { describe, expect, it } from 'vitest';
import { answersClause, bindingClause, clauseStrip, type ClauseRun } from '.';
import type { Clause } from '../../picture';

const clause: Clause = {
	kind: 'minimum',
	capacityAh: 280,
	chargeV: 3.65,
	tailCRate: 0.05,
	restH: 1,
	dischargeCRate: 0.5,
	cutoffV: 2.5,
	temperatureC: 25
};
const run: ClauseRun = {
	startedFull: true,
	restH: 1,
	cRate: 0.5,
	temperatureC: 25,
	cutoffV: 2.5,
	tester: 'A',
	endedEarly: false,
	tooFar: false
};
const states = (more: Partial<ClauseRun>, asked = clause) =>
	Object.fromEntries(clauseStrip(asked, { ...run, ...more }, 'LFP').map((t) => [t.asked, t.state]));

describe('a run held to a clause', () => {
	it('that kept everything answers it', () => {
		const strip = clauseStrip(clause, run, 'LFP');
		expect(strip.every((t) => t.state === 'kept')).toBe(true);
		expect(answersClause(strip)).toBe(true);
	});
	it.each([
		[{ startedFull: false }, 'full', 'void'],
		[{ startedFull: null }, 'full', 'unknown'],
		[{ restH: 0.2 }, 'rested', 'corrected'],
		[{ cRate: -0.2 }, 'rate', 'corrected'],
		[{ cRate: 0.52 }, 'rate', 'kept'],
		[{ cRate: 0.1 }, 'rate', 'corrected'],
		[{ cRate: 0.1, tooFar: true }, 'rate', 'void'],
		[{ temperatureC: 18 }, 'temperature', 'corrected'],
		[{ temperatureC: 7, tooFar: true }, 'temperature', 'void'],
		[{ temperatureC: 41 }, 'temperature', 'corrected'],
		[{ cutoffV: null, endedEarly: true }, 'cutoff', 'void'],
		[{ cutoffV: 2.6 }, 'cutoff', 'void'],
		[{ cutoffV: 2.0 }, 'cutoff', 'kept'],
		[{ tester: null }, 'tester', 'unknown']
	] as const)('%j: %s is %s', (more, asked, state) => {
		expect(states(more)[asked]).toBe(state);
		expect(answersClause(clauseStrip(clause, { ...run, ...more }, 'LFP'))).toBe(state !== 'void');
	});
	it('what the clause does not say is as usual: 25 °C, 0.2 C, down to the limit', () => {
		const silent: Clause = { ...clause, dischargeCRate: null, temperatureC: null, cutoffV: null, restH: null };
		expect(states({ cRate: 0.2, cutoffV: 2.5 }, silent)).toMatchObject({
			rate: 'kept',
			cutoff: 'kept',
			temperature: 'kept'
		});
	});
	it('the least that was promised binds', () => {
		const of = (kind: Clause['kind']) => ({ ...clause, kind });
		expect(bindingClause([of('typical'), of('nominal')])!.kind).toBe('nominal');
		expect(bindingClause([of('typical'), of('minimum'), of('nominal')])!.kind).toBe('minimum');
		expect(bindingClause([])).toBeNull();
	});
});
