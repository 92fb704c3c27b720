import { FILE_LIMIT, endpoint, jsonBody } from '$lib/server/http/endpoint';
import { banks } from '$lib/server/db/tables';
import { importBank } from '$lib/server/services/import-service';

export const POST = endpoint(
	async ({ request }) => banks.get(await importBank(await jsonBody(request, FILE_LIMIT))),
	201
);
