import { BodyError, tooSlow } from './body-error';
import { OVERALL_MS, PACE, paceOf } from './body-pace';

const MEGABYTE = 1024 * 1024;

/** A promise that gives up after a while. */
function within<T>(work: Promise<T>, ms: number): Promise<T> {
	let timer: NodeJS.Timeout;
	const late = new Promise<never>((_, failed) => (timer = setTimeout(() => failed(tooSlow()), ms)));
	return Promise.race([work, late]).finally(() => clearTimeout(timer));
}

/** The request's body as it comes. @throws BodyError when it is too large, or slower than anybody's line */
export async function* bodyChunks(
	request: Request,
	limit: number,
	overallMs: number = OVERALL_MS.record
): AsyncGenerator<Uint8Array> {
	const tooLarge = () =>
		new BodyError(413, 'too-large', `The body may hold at most ${(limit / MEGABYTE).toFixed(0)} MB. Send it in parts.`);
	if (Number(request.headers.get('content-length') ?? 0) > limit) throw tooLarge();
	const reader = request.body?.getReader();
	if (!reader) return;
	const isSlow = paceOf(overallMs);
	let size = 0;
	try {
		for (;;) {
			const { done, value } = await within(reader.read(), PACE.silentMs);
			if (done) return;
			size += value.byteLength;
			if (size > limit) throw tooLarge();
			if (isSlow(size)) throw tooSlow();
			yield value;
		}
	} finally {
		// Giving it up would cut the line before the refusal is heard.
		reader.releaseLock();
	}
}
