import { proxy, wrap } from 'comlink';
import type { YearInput, YearOfUse } from '$lib/core/plan/use-year';
import type { YearWorker } from '$lib/workers/year-worker';

export interface YearJob {
	/** The result; never settles when it was cancelled. */
	result: Promise<YearOfUse>;
	cancel(): void;
}

/** Draws years of use in a worker of its own. */
export function startYear(input: YearInput, onProgress: (done: number, of: number) => void): YearJob {
	const worker = new Worker(new URL('../../workers/year-worker.ts', import.meta.url), { type: 'module' });
	const remote = wrap<YearWorker>(worker);
	const result = new Promise<YearOfUse>((done, failed) => {
		worker.onerror = () => failed(new Error('The worker that draws years could not run in this browser.'));
		// What a page keeps is watched and cannot be sent: a plain copy goes.
		const plain = JSON.parse(JSON.stringify(input)) as YearInput;
		remote
			.draw(
				plain,
				proxy((n: number, of: number) => void onProgress(n, of))
			)
			.then(done, failed)
			.finally(() => worker.terminate());
	});
	return { result, cancel: () => worker.terminate() };
}
