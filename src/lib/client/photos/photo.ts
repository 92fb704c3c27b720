/** Longest side of what is sent, px: more tells nothing of a cell. */
const LONGEST = 2400;
const QUALITY = 0.86;

/** A photo drawn upright and no larger than needed: what the camera wrote beside the picture stays behind. @throws Error in words for a person */
async function drawn(file: Blob): Promise<HTMLCanvasElement> {
	const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
		throw new Error('This photo cannot be read. Take it again, or save it as JPEG.');
	});
	const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
	const canvas = document.createElement('canvas');
	canvas.width = Math.max(1, Math.round(bitmap.width * scale));
	canvas.height = Math.max(1, Math.round(bitmap.height * scale));
	canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
	bitmap.close();
	return canvas;
}

/** A photo as it is sent. */
export async function smallerPhoto(file: Blob): Promise<Blob> {
	const canvas = await drawn(file);
	return new Promise((done, failed) =>
		canvas.toBlob(
			(blob) => (blob ? done(blob) : failed(new Error('The photo could not be made smaller.'))),
			'image/jpeg',
			QUALITY
		)
	);
}

/** The points of a photo, for reading codes off it. */
export async function photoPoints(file: Blob): Promise<ImageData> {
	const canvas = await drawn(file);
	return canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
}
