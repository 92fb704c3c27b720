import { endpoint } from '$lib/server/http/endpoint';
import { openApiDocument } from '$lib/server/services/openapi-service';
import { version } from '../../../../../package.json';

export const GET = endpoint(async () => openApiDocument(version));
