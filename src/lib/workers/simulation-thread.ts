import { simulate, type SimulationInput, type SimulationResult } from '$lib/core/world/simulation';
import { stepBack } from './step-back';
import { answered, type ThreadAnswer } from './thread-answer';

stepBack();

/** Server-side thread: one simulation in, one answer out. */
export default (input: SimulationInput): ThreadAnswer<SimulationResult> => answered(() => simulate(input));
