import { analyseRun } from '$lib/core/capacity-run';
import { InputError } from '$lib/input/validate';
import { endpoint, textBody } from '$lib/server/http/endpoint';

function positiveOrNull(query: URLSearchParams, name: string): number | null {
	if (!query.has(name)) return null;
	const value = Number(query.get(name));
	if (!(value > 0 && Number.isFinite(value)))
		throw new InputError([{ path: name, message: 'requires a number above 0' }]);
	return value;
}

export const POST = endpoint(async ({ request, url }) => {
	const options = {
		ratedAh: positiveOrNull(url.searchParams, 'ratedAh'),
		cutoffV: positiveOrNull(url.searchParams, 'cutoffV'),
		bridgeGaps: url.searchParams.get('bridgeGaps') === 'true'
	};
	return analyseRun(await textBody(request), options);
});
