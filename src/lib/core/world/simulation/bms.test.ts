import { describe, expect, it } from 'vitest';
import { CHEMISTRIES } from '../../foundation/chemistry';
import {
	TRIPS,
	activeTrips,
	completeBalancer,
	completeBms,
	createBms,
	defaultBmsLimits,
	type BmsLimits,
	type Trip
} from '.';
import { stepBms, type BmsReadings } from './bms';

const healthy: BmsReadings = { highestV: 3.3, lowestV: 3.3, packV: 13.2, coldestC: 20, hottestC: 20, currentA: 0 };
const limits: Partial<BmsLimits> = {
	packHighV: 14.5,
	packHighReleaseV: 14,
	packLowV: 10.5,
	packLowReleaseV: 11.5,
	chargeMaxA: 50,
	dischargeMaxA: 100
};
const bms = (more: Partial<BmsLimits> = {}) => createBms(completeBms({ ...limits, ...more }, 'LFP'));
/** Looks at the same readings for a while, a second at a time. */
function look(watched: ReturnType<typeof bms>, readings: Partial<BmsReadings>, seconds: number): void {
	for (let t = 0; t < seconds; t++) stepBms(watched, { ...healthy, ...readings }, 1);
}

/** Each trip: what sets it off, what is between, what releases it, and which way it cuts. */
const CASES: [Trip, Partial<BmsReadings>, Partial<BmsReadings>, Partial<BmsReadings>, 'charge' | 'discharge'][] = [
	['cell-high', { highestV: 3.65 }, { highestV: 3.55 }, { highestV: 3.5 }, 'charge'],
	['cell-low', { lowestV: 2.5 }, { lowestV: 2.7 }, { lowestV: 2.9 }, 'discharge'],
	['pack-high', { packV: 14.5 }, { packV: 14.2 }, { packV: 14 }, 'charge'],
	['pack-low', { packV: 10.5 }, { packV: 11 }, { packV: 11.5 }, 'discharge'],
	['charge-cold', { coldestC: 0 }, { coldestC: 2 }, { coldestC: 4 }, 'charge'],
	['charge-hot', { hottestC: 45 }, { hottestC: 43 }, { hottestC: 41 }, 'charge'],
	['discharge-cold', { coldestC: -20 }, { coldestC: -18 }, { coldestC: -16 }, 'discharge'],
	['discharge-hot', { hottestC: 60 }, { hottestC: 58 }, { hottestC: 56 }, 'discharge']
];

describe.each(CASES)('the trip %s', (trip, past, between, released, way) => {
	it('waits for its delay, cuts its way, holds between, and lets go at its release', () => {
		const watched = bms();
		look(watched, past, 2);
		expect(activeTrips(watched)).not.toContain(trip);
		look(watched, past, 6);
		expect(activeTrips(watched)).toContain(trip);
		expect(watched[way === 'charge' ? 'chargeBlocked' : 'dischargeBlocked']).toBe(true);
		look(watched, between, 100);
		expect(activeTrips(watched)).toContain(trip);
		look(watched, released, 1);
		expect(activeTrips(watched)).not.toContain(trip);
	});
	it('forgets a moment shorter than its delay', () => {
		const watched = bms();
		for (let n = 0; n < 20; n++) {
			look(watched, past, 1);
			look(watched, {}, 1);
		}
		expect(activeTrips(watched)).toEqual([]);
	});
});

describe('over-current', () => {
	it.each([
		['charge-current', { currentA: 51 }],
		['discharge-current', { currentA: -101 }]
	] as const)('%s trips after ten seconds and stays a minute, though the current has gone', (trip, past) => {
		const watched = bms();
		look(watched, past, 10);
		expect(activeTrips(watched)).toEqual([]);
		look(watched, past, 1);
		expect(activeTrips(watched)).toEqual([trip]);
		look(watched, {}, 58);
		expect(activeTrips(watched)).toEqual([trip]);
		look(watched, {}, 3);
		expect(activeTrips(watched)).toEqual([]);
	});
	it('without a limit never trips', () => {
		const watched = bms({ chargeMaxA: null, dischargeMaxA: null });
		look(watched, { currentA: -100_000 }, 100);
		expect(activeTrips(watched)).toEqual([]);
	});
});

describe('limits', () => {
	it('with no delay act at once', () => {
		const watched = bms({ voltageDelayS: 0 });
		stepBms(watched, { ...healthy, highestV: 3.7 }, 1);
		expect(watched.chargeBlocked).toBe(true);
		expect(watched.dischargeBlocked).toBe(false);
	});
	it.each(CHEMISTRIES)('of %s have each release inside its limit', (chemistry) => {
		const l = defaultBmsLimits(chemistry);
		expect(l.cellHighReleaseV).toBeLessThan(l.cellHighV);
		expect(l.cellLowReleaseV).toBeGreaterThan(l.cellLowV);
		expect(l.cellHighReleaseV).toBeGreaterThan(l.cellLowReleaseV);
		expect(completeBms({}, chemistry)).toEqual(l);
	});
	it('move their release along when only the limit is given', () => {
		expect(completeBms({ cellHighV: 3.5 }, 'LFP').cellHighReleaseV).toBeCloseTo(3.35, 12);
		expect(completeBms({ cellLowV: 2.8 }, 'LFP').cellLowReleaseV).toBeCloseTo(3.2, 12);
	});
	it.each<[string, Partial<BmsLimits>]>([
		['voltageDelayS', { voltageDelayS: -1 }],
		['cellHighV', { cellHighV: NaN }],
		['cellLowReleaseV', { cellLowV: 2.5, cellLowReleaseV: 2.4 }],
		['packHighReleaseV', { packHighV: 14, packHighReleaseV: 15 }],
		['packLowReleaseV', { packLowV: 10, packLowReleaseV: 9 }]
	])('refuse a bad %s by name', (name, bad) => expect(() => completeBms(bad, 'LFP')).toThrow(new RegExp(name)));
	it('know ten trips, each by one name', () => expect(new Set(TRIPS).size).toBe(10));
});

describe('a balancer', () => {
	it('starts where the curve of its chemistry begins to rise', () => {
		expect(completeBalancer({}, 'LFP').startV).toBe(3.4);
		expect(completeBalancer({}, 'LTO').startV).toBeLessThan(2.8);
		expect(completeBalancer({ kind: 'active' }, 'NMC')).toMatchObject({ startV: 4.05, efficiency: 0.85 });
	});
	it.each([
		['currentA', { currentA: 0 }],
		['efficiency', { efficiency: 1.5 }],
		['kind', { kind: 'magic' as never }],
		['triggerV', { triggerV: -0.1 }]
	])('refuses a bad %s', (name, bad) => expect(() => completeBalancer(bad, 'LFP')).toThrow(new RegExp(name)));
});
