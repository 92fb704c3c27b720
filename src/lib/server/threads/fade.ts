import { projectFade, type FadeInput, type FadeProjection } from '$lib/core/service';
import { onThread } from './thread';

/** A history of so many tests is projected in passing; a longer one on a thread. */
const IN_PASSING = 12;
const MOST_S = 60;

/** A projection, off the server's own thread where that takes a while. @throws CoreError */
export async function projectOnThread(input: FadeInput, signal: AbortSignal): Promise<FadeProjection> {
	if (input.observations.length <= IN_PASSING) return projectFade(input);
	const data = JSON.parse(JSON.stringify(input)) as FadeInput;
	return onThread({ file: 'fade-thread', what: 'projections', data, signal, mostS: MOST_S });
}
