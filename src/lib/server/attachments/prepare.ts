import sharp from 'sharp';
import { InputError } from '$lib/input/validate';
import type { NewFile } from './store';

/** Longest side of a kept photo and of its small picture, px. */
const LONGEST = 2400;
const THUMBNAIL = 320;
const QUALITY = 82;
/** More pixels than a camera makes are no photo of a cell. */
const MAX_PIXELS = 100_000_000;
const PHOTOS = /^image\/(jpeg|png|webp|avif|heic|heif)$/;
/** Kept as they came. */
const FILES = /^(application\/pdf|text\/(plain|csv))$/;

export const ATTACHABLE = 'a photo (JPEG, PNG, WebP), a PDF, or text';

/**
 * A photo as it is kept: turned upright, no larger than a screen can show, without anything but its picture (where it was taken is not kept);
 * other files as they came. @throws InputError for what is neither, or cannot be read
 */
export async function preparedFile(mime: string, content: Buffer): Promise<NewFile> {
	if (content.length === 0) throw refused('The file is empty.');
	if (FILES.test(mime)) return { mime, content, width: null, height: null, thumbnail: null };
	if (!PHOTOS.test(mime)) throw refused(`This is not ${ATTACHABLE}.`);
	try {
		const turned = sharp(content, { limitInputPixels: MAX_PIXELS, failOn: 'error' }).rotate();
		const { data, info } = await turned
			.resize({ width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true })
			.webp({ quality: QUALITY })
			.toBuffer({ resolveWithObject: true });
		return {
			mime: 'image/webp',
			content: data,
			width: info.width,
			height: info.height,
			thumbnail: await smallOf(data)
		};
	} catch (error) {
		if (error instanceof Error && /memory/i.test(error.message)) throw error;
		throw refused('The photo cannot be read. Take it again, or save it as JPEG.');
	}
}

/** The small picture of a kept photo. */
export const smallOf = (photo: Buffer): Promise<Buffer> =>
	sharp(photo, { limitInputPixels: MAX_PIXELS })
		.resize({ width: THUMBNAIL, height: THUMBNAIL, fit: 'inside', withoutEnlargement: true })
		.webp({ quality: QUALITY })
		.toBuffer();

const refused = (message: string) => new InputError([{ path: 'file', message }]);
