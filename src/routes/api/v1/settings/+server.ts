import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { changeSettings, readSettings } from '$lib/server/services/settings-service';

export const GET = endpoint(async () => readSettings());
export const PATCH = endpoint(async ({ request }) => changeSettings(await jsonBody(request)));
