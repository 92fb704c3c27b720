import { endpoint, textBody } from '$lib/server/http/endpoint';
import { chemistryOrNull, positiveOrNull } from '$lib/server/http/query';
import { analyseLogBytes } from '$lib/server/stages/test/runs';

export const POST = endpoint(async ({ request, url: { searchParams } }, gone) => {
	const options = {
		ratedAh: positiveOrNull(searchParams, 'ratedAh'),
		cutoffV: positiveOrNull(searchParams, 'cutoffV'),
		chemistry: chemistryOrNull(searchParams),
		bridgeGaps: searchParams.get('bridgeGaps') === 'true'
	};
	return analyseLogBytes(await textBody(request), options, gone);
});
