import { socBounds } from '$lib/core/chemistry';
import { SocBoundsInput } from '$lib/input/compute';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';

export const POST = endpoint(async ({ request }) => {
	const { chemistry, restVoltageV, meterSdV, restS } = validated(SocBoundsInput, await jsonBody(request));
	return socBounds(chemistry, restVoltageV, meterSdV, restS);
});
