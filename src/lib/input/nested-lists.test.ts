import { describe, expect, it } from 'vitest';
import { FadeRequest, LimitsRequest } from './compute';
import { JoinRequest } from './joining';
import { WitnessesRequest } from './measuring';
import { InputError, validated, type InputClass } from './validate';

const faultsOf = <T extends object>(kind: InputClass<T>, body: object) => {
	try {
		validated(kind, body);
	} catch (error) {
		if (error instanceof InputError) return error.faults.map((f) => f.path);
		throw error;
	}
	return [];
};

describe('a list where an object belongs', () => {
	it.each([[[[[]]]], [[[]]], [[[{ kind: 'ah', ah: 280 }]]]])('among witnesses is refused with its path: %j', (items) =>
		expect(faultsOf(WitnessesRequest, { chemistry: 'LFP', items })).toEqual(['items.0'])
	);
	it('is refused wherever objects are listed, the second as well as the first', () => {
		const joined = { id: 'a', restVoltageV: 3.3, capacityAh: 280 };
		expect(faultsOf(JoinRequest, { chemistry: 'LFP', linkOhm: 0.0002, items: [joined, [joined]] })).toEqual([
			'items.1'
		]);
		expect(faultsOf(FadeRequest, { ratedAh: 280, endFraction: 0.8, observations: [[[]]] })).toEqual(['observations.0']);
	});
	it('is refused for a single object', () =>
		expect(
			faultsOf(LimitsRequest, {
				chemistry: 'LFP',
				series: 4,
				parallel: 1,
				strategy: 'middle-road',
				cell: { ratedAh: 280 },
				load: [[]]
			})
		).toContain('load'));
	it('what is listed as it should be passes', () =>
		expect(faultsOf(WitnessesRequest, { chemistry: 'LFP', items: [{ kind: 'ah', ah: 280 }] })).toEqual([]));
});
