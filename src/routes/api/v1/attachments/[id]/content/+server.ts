import { attachmentContent } from '$lib/server/attachments/attach';
import { endpoint, idOf } from '$lib/server/http/endpoint';

export const GET = endpoint(async ({ params, url }) =>
	attachmentContent(idOf(params.id!, 'photo or file'), url.searchParams.get('size') === 'small')
);
