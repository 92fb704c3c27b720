import { CoreError } from '$lib/core/shared';
import { checkSimulation, type SimulationInput, type SimulationResult } from '$lib/core/simulation';
import type { SimulationRequest } from '$lib/input/simulation';
import type { SimulationAnswer } from '$lib/workers/simulation-thread';
import { onThread } from './thread';

/** Longest a simulation may take on its thread, s. */
const MOST_S = 120;

/**
 * Simulates on a thread of its own; ends when `signal` says that nobody waits any more.
 * @throws CoreError (422) with the reason when refused
 */
export async function simulateOnThread(request: SimulationRequest, signal: AbortSignal): Promise<SimulationResult> {
	// What is null is missing: the model's default stands.
	const input = JSON.parse(JSON.stringify(request), (_, value) => value ?? undefined) as SimulationInput;
	checkSimulation(input);
	const answer = await onThread<SimulationAnswer>('simulation-thread', 'simulations', input, signal, MOST_S);
	if (answer.kind === 'refused') throw new CoreError(answer.code, answer.path, answer.message);
	return answer.result;
}
