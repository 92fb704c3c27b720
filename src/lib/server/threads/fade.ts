import type { FadeInput, FadeProjection } from '$lib/core/foundation/fade';
import { onThread } from './thread';

const MAX_S = 60;

/** A projection, off the server's own thread: it takes a tenth of a second and more. @throws CoreError */
export function projectOnThread(input: FadeInput, signal: AbortSignal): Promise<FadeProjection> {
	const data = JSON.parse(JSON.stringify(input)) as FadeInput;
	return onThread({
		file: 'fade-thread',
		what: 'projections',
		data,
		signal,
		mostS: MAX_S,
		mostAtOnce: 8,
		pace: 'brief'
	});
}
