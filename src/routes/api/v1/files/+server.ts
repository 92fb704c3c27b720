import { AttachmentInput } from '$lib/input/attachment';
import { validated } from '$lib/input/validate';
import { attach } from '$lib/server/attachments/attach';
import { PHOTO_LIMIT, endpoint, fileBody } from '$lib/server/http/endpoint';

/** Keeps a photo or file of something; what it shows is in the address. */
export const POST = endpoint(async ({ request, url }) => {
	const asked = Object.fromEntries(url.searchParams);
	const { mime, content } = await fileBody(request, PHOTO_LIMIT);
	return attach(validated(AttachmentInput, asked), mime, content);
}, 201);
