import { LRUCache } from 'lru-cache';
import { projectFade, type FadeInput, type FadeProjection } from '$lib/core/foundation/fade';

const known = new LRUCache<string, FadeProjection>({ max: 200 });

/** As the core's projection, computed once for the same history: home and every page of a bank ask for it. */
export function fadeProjection({ observations, ...rest }: FadeInput): FadeProjection {
	const seen = observations.map(({ ageYears, efc, capacityAh, sdAh, temperatureC }) => ({
		ageYears,
		efc,
		capacityAh,
		sdAh,
		temperatureC
	}));
	const input = { ...rest, observations: seen };
	const key = JSON.stringify(input);
	const projection = known.get(key) ?? projectFade(input);
	known.set(key, projection);
	return projection;
}
