import { bankFileBody, endpoint } from '$lib/server/http/endpoint';
import { importBankFile, importFirstFormat } from '$lib/server/services/import-service';

/** Builds a bank again from its file: a line a record, or one JSON object of the first format. */
export const POST = endpoint(async ({ request }, gone) => {
	const body = await bankFileBody(request);
	return 'chunks' in body ? importBankFile(body.chunks, gone) : importFirstFormat(body.whole, gone);
}, 201);
