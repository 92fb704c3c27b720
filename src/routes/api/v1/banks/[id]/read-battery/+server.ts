import { ReadBatteryInput } from '$lib/input/live';
import { validated } from '$lib/input/validate';
import { endpoint, idOf, jsonBody } from '$lib/server/http/endpoint';
import { readBattery } from '$lib/server/measuring/battery-reading';

export const POST = endpoint(async ({ params, request }) =>
	readBattery(idOf(params.id!, 'bank'), validated(ReadBatteryInput, await jsonBody(request)))
);
