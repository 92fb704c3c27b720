import { checkSimulation, type SimulationInput, type SimulationResult } from '$lib/core/world/simulation';
import type { SimulationRequest } from '$lib/input/simulation';
import { onThread } from './thread';

/** Longest a simulation may take on its thread, s. */
const MAX_S = 120;

/**
 * Simulates on a thread; ends when `signal` says that nobody waits any more.
 * @throws CoreError (422) with the reason when refused
 */
export function simulateOnThread(request: SimulationRequest, signal: AbortSignal): Promise<SimulationResult> {
	// What is null is missing: the model's default stands.
	const input = JSON.parse(JSON.stringify(request), (_, value) => value ?? undefined) as SimulationInput;
	checkSimulation(input);
	return onThread({ file: 'simulation-thread', what: 'simulations', data: input, signal, mostS: MAX_S });
}
