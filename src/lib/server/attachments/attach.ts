import { InputError } from '$lib/input/validate';
import { database } from '../db/connection';
import { ServiceError } from '../errors';
import type { AttachmentInput } from '$lib/input/attachment';
import { attachments, type Attachment } from '../records/attachments/row';
import { recordKind } from '../records/registry';
import { recordOfSubject } from '../records/subject-kinds';
import { preparedFile } from './prepare';
import { chunksOf, keepFile, storedFile, thumbnailOf } from './store';

/** Keeps a photo or file of something that is there. @throws InputError, ServiceError 404 for a subject that is not */
export async function attach(
	{ subjectKind, subjectId, takenAt, about, name }: AttachmentInput,
	mime: string,
	content: Buffer
): Promise<Attachment> {
	const { name: kind, recordId } = recordOfSubject(subjectKind, String(subjectId));
	if (!Number.isSafeInteger(recordId) || recordId < 1)
		throw new InputError([{ path: 'subjectId', message: 'subjectId requires the id of what it shows' }]);
	const file = await preparedFile(mime, content);
	return database().transaction(async (tx) => {
		await recordKind(kind).repository.hold(recordId, tx, 'share');
		const hash = await keepFile(file, tx);
		return attachments.insert(
			{
				subjectKind,
				subjectId: String(subjectId),
				name,
				about: about ?? null,
				hash,
				takenAt: takenAt ?? new Date().toISOString()
			},
			tx
		);
	});
}

/** The bytes of an attachment as they are read from the database, or its small picture. @throws ServiceError 404 */
export async function attachmentContent(id: number, small: boolean): Promise<Response> {
	const { hash, name } = await attachments.get(id);
	const { mime, bytes } = await storedFile(hash);
	const headers = {
		etag: `"${hash}${small ? '-small' : ''}"`,
		'cache-control': 'private, max-age=31536000, immutable',
		'x-content-type-options': 'nosniff'
	};
	if (small) {
		const picture = await thumbnailOf(hash);
		if (!picture) throw new ServiceError(404, 'not-found', 'This file has no small picture.');
		return new Response(new Uint8Array(picture), { headers: { ...headers, 'content-type': 'image/webp' } });
	}
	const disposition = mime.startsWith('image/') ? 'inline' : 'attachment';
	const chunks = chunksOf(hash);
	const body = new ReadableStream<Uint8Array>({
		async pull(controller) {
			const { done, value } = await chunks.next();
			if (done) controller.close();
			else controller.enqueue(new Uint8Array(value));
		},
		cancel: async () => void (await chunks.return(undefined))
	});
	return new Response(body, {
		headers: {
			...headers,
			'content-type': mime,
			'content-length': String(bytes),
			'content-disposition': `${disposition}; filename*=UTF-8''${encodeURIComponent(name)}`
		}
	});
}
