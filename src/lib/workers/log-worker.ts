import { expose } from 'comlink';
import { splitChannels, type LogChannel } from '$lib/core/test/log';

/** What the page may ask of the worker that takes a file of several cells apart. */
export interface LogWorker {
	split(text: string): LogChannel[];
}

const worker: LogWorker = { split: splitChannels };

expose(worker);
