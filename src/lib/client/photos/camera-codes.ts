import { proxy, wrap } from 'comlink';
import type { FoundCode } from '$lib/core/receive/identity';
import type { CodeWorker } from '$lib/workers/code-worker';

/** Frames are looked at one after the other, no sooner than this after the last, ms. */
const BETWEEN_MS = 250;
/** Longest side of a frame that is looked at, px. */
const LONGEST = 1280;

function frameOf(video: HTMLVideoElement): ImageData | null {
	const { videoWidth, videoHeight } = video;
	if (!videoWidth || !videoHeight) return null;
	const scale = Math.min(1, LONGEST / Math.max(videoWidth, videoHeight));
	const canvas = document.createElement('canvas');
	canvas.width = Math.round(videoWidth * scale);
	canvas.height = Math.round(videoHeight * scale);
	const context = canvas.getContext('2d', { willReadFrequently: true })!;
	context.drawImage(video, 0, 0, canvas.width, canvas.height);
	return context.getImageData(0, 0, canvas.width, canvas.height);
}

/**
 * Shows the camera in `video` and reads codes off its frames in a worker until some are found.
 * @throws Error in words for a person, where there is no camera or it may not be used
 * @returns the codes of the first frame that has any; null once it was stopped
 */
export function watchForCodes(video: HTMLVideoElement): { found: Promise<FoundCode[] | null>; stop: () => void } {
	let isOn = true;
	let stream: MediaStream | null = null;
	const worker = new Worker(new URL('../../workers/code-worker.ts', import.meta.url), { type: 'module' });
	const remote = wrap<CodeWorker>(worker);
	const stop = () => {
		isOn = false;
		stream?.getTracks().forEach((track) => track.stop());
		worker.terminate();
		video.srcObject = null;
	};
	const watch = async (): Promise<FoundCode[] | null> => {
		if (!navigator.mediaDevices?.getUserMedia)
			throw new Error('This browser gives no camera here. Take a photo instead; over the network it needs https.');
		stream = await navigator.mediaDevices
			.getUserMedia({ video: { facingMode: 'environment', width: { ideal: 1920 } } })
			.catch(() => {
				throw new Error(
					'The camera may not be used, or there is none. Allow it for this page, or take a photo instead.'
				);
			});
		if (!isOn) {
			stream.getTracks().forEach((track) => track.stop());
			return null;
		}
		video.srcObject = stream;
		await video.play();
		while (isOn) {
			const frame = frameOf(video);
			// A worker that was ended answers nothing any more: only what is on is waited for.
			const codes = frame
				? await remote.read(
						frame,
						proxy(() => undefined)
					)
				: [];
			if (!isOn) return null;
			if (codes.length) return codes;
			await new Promise((next) => setTimeout(next, BETWEEN_MS));
		}
		return null;
	};
	const found = watch().finally(stop);
	return { found, stop };
}
