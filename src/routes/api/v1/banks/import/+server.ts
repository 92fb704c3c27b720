import { bankFileBody, endpoint } from '$lib/server/http/endpoint';
import { importBankFile, importFirstFormat } from '$lib/server/exchange/import';

/** Builds a bank again from its file: a line a record, or one JSON object of the first format. */
export const POST = endpoint(async ({ request }, gone) => {
	const body = await bankFileBody(request);
	if ('whole' in body) return importFirstFormat(body.whole, gone);
	try {
		return await importBankFile(body.file.chunks, gone);
	} finally {
		await body.file.discard();
	}
}, 201);
