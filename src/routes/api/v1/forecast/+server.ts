import { ForecastRequest } from '$lib/input/joining';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { forecastOf } from '$lib/server/stages/match/computed';

export const POST = endpoint(async ({ request }) => forecastOf(validated(ForecastRequest, await jsonBody(request))));
