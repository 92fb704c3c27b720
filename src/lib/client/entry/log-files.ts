import { wrap } from 'comlink';
import type { LogWorker } from '$lib/workers/log-worker';

/** Log files, each of one cell: a file of several is taken apart, in a worker, into files named after it and its channel. */
export async function filesOfCells(files: readonly File[]): Promise<File[]> {
	const worker = new Worker(new URL('../../workers/log-worker.ts', import.meta.url), { type: 'module' });
	const remote = wrap<LogWorker>(worker);
	try {
		const parts: File[] = [];
		for (const file of files) {
			const channels = await remote.split(await file.text());
			if (channels.length < 2) parts.push(file);
			else
				for (const { name, text } of channels) {
					const base = file.name.replace(/\.[^.]*$/, '');
					parts.push(new File([text], `${base} ${/^\d+$/.test(name) ? `channel ${name}` : name}.csv`));
				}
		}
		return parts;
	} finally {
		worker.terminate();
	}
}
