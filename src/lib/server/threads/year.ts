import type { YearAnswer, YearInput } from '$lib/core/plan/use-year';
import type { YearRequest } from '$lib/input/planning';
import { onThread } from './thread';

/** Longest a drawing of years may take on its thread, s. */
const MAX_S = 60;

/** Draws years of use on a thread; ends when nobody waits any more. @throws CoreError (422) with the reason when refused */
export function yearOnThread(request: YearRequest, signal: AbortSignal): Promise<YearAnswer> {
	const data = JSON.parse(JSON.stringify(request)) as YearInput;
	return onThread({ file: 'year-thread', what: 'drawings of years', data, signal, mostS: MAX_S, mostAtOnce: 8 });
}
