import { measuringOnThread } from '../../threads/measuring';
import { checkJoining, type JoinAnswer, type LeftJoined } from '$lib/core/balance/joining';
import { WHOLE_BANK } from '$lib/core/foundation/verdicts';
import type { JoinRequest, LeftJoinedRequest } from '$lib/input/joining';

/** @throws CoreError */
export const joinCheck = (request: JoinRequest): JoinAnswer => checkJoining(request, WHOLE_BANK);

/** Of standing joined without a charge, on a thread. @throws CoreError */
export const leftJoinedOf = async (
	{ hours, ...join }: LeftJoinedRequest,
	gone: AbortSignal
): Promise<{ after: LeftJoined[] }> => ({
	after: await measuringOnThread({ kind: 'left-joined', join, hours }, gone)
});
