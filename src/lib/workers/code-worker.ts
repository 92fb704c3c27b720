import {
	BarcodeFormat,
	BinaryBitmap,
	DecodeHintType,
	HybridBinarizer,
	MultiFormatReader,
	RGBLuminanceSource
} from '@zxing/library';
import { expose } from 'comlink';
import type { FoundCode } from '$lib/core/receive/identity';

/** What the page may ask of the worker that reads codes off a photo. Cancel by ending the worker. */
export interface CodeWorker {
	read(photo: ImageData, onProgress: (done: number, of: number) => void): FoundCode[];
}

/** The photo is looked at whole and in squares of these sizes, as a share of its shorter side, each half over the next. */
const SQUARES = [1, 0.5, 0.3];

function reader(): MultiFormatReader {
	const formats = [BarcodeFormat.DATA_MATRIX, BarcodeFormat.QR_CODE];
	const hints = new Map<DecodeHintType, unknown>([
		[DecodeHintType.POSSIBLE_FORMATS, formats],
		[DecodeHintType.TRY_HARDER, true]
	]);
	const own = new MultiFormatReader();
	own.setHints(hints);
	return own;
}

/** Grey values of a photo. */
function greyOf({ data, width, height }: ImageData): Uint8ClampedArray {
	const grey = new Uint8ClampedArray(width * height);
	for (let i = 0; i < grey.length; i++)
		grey[i] = (306 * data[4 * i]! + 601 * data[4 * i + 1]! + 117 * data[4 * i + 2]!) >> 10;
	return grey;
}

interface Square {
	x: number;
	y: number;
	width: number;
	height: number;
}

function squaresOf(width: number, height: number): Square[] {
	const shorter = Math.min(width, height);
	return [
		{ x: 0, y: 0, width, height },
		...SQUARES.flatMap((share) => {
			const side = Math.round(shorter * share);
			const steps = (length: number) => Math.max(1, Math.ceil((length - side) / (side / 2)) + 1);
			const at = (i: number, count: number, length: number) =>
				count === 1 ? 0 : Math.round((i * (length - side)) / (count - 1));
			const [across, down] = [steps(width), steps(height)];
			return Array.from({ length: across * down }, (_, i) => ({
				x: at(i % across, across, width),
				y: at(Math.floor(i / across), down, height),
				width: side,
				height: side
			}));
		})
	];
}

const worker: CodeWorker = {
	read(photo, onProgress) {
		const grey = greyOf(photo);
		const found = new Map<string, FoundCode>();
		const squares = squaresOf(photo.width, photo.height);
		squares.forEach(({ x, y, width, height }, n) => {
			try {
				const cut = new Uint8ClampedArray(width * height);
				for (let row = 0; row < height; row++)
					cut.set(grey.subarray((y + row) * photo.width + x, (y + row) * photo.width + x + width), row * width);
				const bitmap = new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(cut, width, height)));
				const result = reader().decode(bitmap);
				const points = result.getResultPoints() ?? [];
				const middle = (of: (p: { getX(): number; getY(): number }) => number) =>
					points.reduce((sum, p) => sum + of(p), 0) / Math.max(1, points.length);
				found.set(result.getText(), {
					text: result.getText(),
					x: x + middle((p) => p.getX()),
					y: y + middle((p) => p.getY())
				});
			} catch {
				// Nothing in this square.
			}
			onProgress(n + 1, squares.length);
		});
		return [...found.values()];
	}
};

expose(worker);
