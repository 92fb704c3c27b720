import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { changeSettings, readSettings } from '$lib/server/settings/settings';

export const GET = endpoint(async () => readSettings());
export const PATCH = endpoint(async ({ request }) => changeSettings(await jsonBody(request)));
