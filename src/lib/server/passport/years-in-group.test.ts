import { describe, expect, it } from 'vitest';
import type { Placement } from '../records';
import { groupEvents } from './years-in-group';

const place = { position: 2, battery: 1, placedAt: '2020-05-01T00:00:00Z', removedAt: null } as unknown as Placement;

describe('the years of a group as those of its cell', () => {
	it('tells the checks of each year by the furthest, and each test of the battery', () => {
		const events = groupEvents(place, {
			checks: [
				{ checkedAt: '2021-02-01T10:00:00Z', groupVoltagesV: [3.4, 3.39, 3.41, 3.4] },
				{ checkedAt: '2021-08-01T10:00:00Z', groupVoltagesV: [3.4, 3.36, 3.4, 3.4] },
				{ checkedAt: '2022-02-01T10:00:00Z', groupVoltagesV: [3.4, 3.4, 3.4, 3.4] }
			],
			tests: [{ testedAt: '2022-03-01T10:00:00Z', capacityAh: 262.14, sdAh: 2, efc: 300.4 }]
		});
		expect(events.map((e) => e.title)).toEqual([
			'Its group was read 2 times in 2021',
			'Its group was read once in 2022',
			'Its battery held 262.1 ± 3.9 Ah'
		]);
		// By hand: 3.36 V against a mean of 3.39 V.
		expect(events[0]!.detail).toContain('at most 30 mV');
		expect(events[2]!.detail).toContain('after 300 full cycles');
	});

	it('says nothing of a check in which its group was not read', () => {
		const check = { checkedAt: '2021-02-01T10:00:00Z', groupVoltagesV: [3.4, null, 3.41, 3.4] };
		expect(groupEvents(place, { checks: [check], tests: [] })).toEqual([]);
	});
});
