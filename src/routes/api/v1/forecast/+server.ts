import { ForecastRequest } from '$lib/input/joining';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { forecastOf } from '$lib/server/services/joining-service';

export const POST = endpoint(async ({ request }) => forecastOf(validated(ForecastRequest, await jsonBody(request))));
