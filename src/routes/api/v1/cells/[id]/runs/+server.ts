import { isMoment } from '$lib/input/fields';
import { InputError } from '$lib/input/validate';
import { endpoint, idOf, textBody } from '$lib/server/http/endpoint';
import { importRun } from '$lib/server/services/run-service';
import type { RequestHandler } from './$types';

/** Stores a capacity-run log (text/csv body) for a cell. */
export const POST: RequestHandler = endpoint(async ({ params, request, url }, gone) => {
	const query = url.searchParams;
	const temperatureC = query.has('temperatureC') ? Number(query.get('temperatureC')) : null;
	if (temperatureC !== null && !(temperatureC >= -60 && temperatureC <= 100))
		throw new InputError([{ path: 'temperatureC', message: 'requires a number from -60 to 100' }]);
	const testedAt = query.get('testedAt');
	if (testedAt !== null && !isMoment(testedAt))
		throw new InputError([{ path: 'testedAt', message: 'requires a date like 2026-03-09' }]);
	const options = {
		fileName: query.get('fileName')?.slice(0, 200).toWellFormed() ?? null,
		tester: query.get('tester')?.slice(0, 80).toWellFormed() ?? null,
		temperatureC,
		testedAt,
		bridgeGaps: query.get('bridgeGaps') === 'true'
	};
	return importRun(idOf(params.id!, 'cell'), await textBody(request), options, gone);
}, 201);
