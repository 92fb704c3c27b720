import { proxy, wrap } from 'comlink';
import type { FoundCode } from '$lib/core/receive/identity';
import type { CodeWorker } from '$lib/workers/code-worker';
import { photoPoints } from '../photos/photo';

export interface CodeJob {
	/** The codes found; never settles when it was cancelled. */
	result: Promise<FoundCode[]>;
	cancel(): void;
}

/** Reads the codes off a photo in a worker of its own. */
export function startReadingCodes(file: Blob, onProgress: (done: number, of: number) => void): CodeJob {
	const worker = new Worker(new URL('../../workers/code-worker.ts', import.meta.url), { type: 'module' });
	const remote = wrap<CodeWorker>(worker);
	const read = async () => {
		const points = await photoPoints(file);
		return remote.read(
			points,
			proxy((n: number, of: number) => void onProgress(n, of))
		);
	};
	return { result: read().finally(() => worker.terminate()), cancel: () => worker.terminate() };
}
