import { endpoint } from '$lib/server/http/endpoint';
import { openApiDocument } from '$lib/server/openapi/document';
import { version } from '../../../../../package.json';

export const GET = endpoint(async () => openApiDocument(version));
