import { expose } from 'comlink';
import { yearOfUse, type YearInput, type YearOfUse } from '$lib/core/plan/use-year';

/** What the page may ask of the worker that draws years. Cancel by ending the worker. */
export interface YearWorker {
	draw(input: YearInput, onProgress: (done: number, of: number) => void): YearOfUse;
}

/** Told every so many years: a message costs more than a year. */
const TELL_EVERY = 10;

const worker: YearWorker = {
	draw: (input, onProgress) =>
		yearOfUse(input, (done, of) => {
			if (done % TELL_EVERY === 0) onProgress(done, of);
		})
};

expose(worker);
