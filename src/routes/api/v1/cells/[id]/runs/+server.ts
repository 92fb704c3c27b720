import { isMoment } from '$lib/input/fields';
import { InputError } from '$lib/input/validate';
import { endpoint, idOf, textBody } from '$lib/server/http/endpoint';
import { importRun } from '$lib/server/stages/test/runs';
import type { RequestHandler } from './$types';

/** A temperature of the query, °C; null: not sent. @throws InputError */
function degrees(query: URLSearchParams, path: string, from: number, to: number): number | null {
	if (!query.has(path)) return null;
	const value = Number(query.get(path));
	if (!(value >= from && value <= to))
		throw new InputError([{ path, message: `requires a number from ${from} to ${to}` }]);
	return value;
}

/** Stores a capacity-run log (text/csv body) for a cell. */
export const POST: RequestHandler = endpoint(async ({ params, request, url }, gone) => {
	const query = url.searchParams;
	const temperatureC = degrees(query, 'temperatureC', -60, 100);
	const heldAtC = degrees(query, 'heldAtC', -40, 80);
	const testedAt = query.get('testedAt');
	if (testedAt !== null && !isMoment(testedAt))
		throw new InputError([{ path: 'testedAt', message: 'requires a date like 2026-03-09' }]);
	const options = {
		fileName: query.get('fileName')?.slice(0, 200).toWellFormed() ?? null,
		tester: query.get('tester')?.slice(0, 80).toWellFormed() ?? null,
		temperatureC,
		heldAtC,
		testedAt,
		bridgeGaps: query.get('bridgeGaps') === 'true'
	};
	return importRun(idOf(params.id!, 'cell'), await textBody(request), options, gone);
}, 201);
