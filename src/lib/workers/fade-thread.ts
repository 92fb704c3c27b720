import { projectFade, type FadeInput, type FadeProjection } from '$lib/core/foundation/fade';
import { stepBack } from './step-back';
import { answered, type ThreadAnswer } from './thread-answer';

stepBack('brief');

/** Server-side thread: a history in, its projection out. */
export default (input: FadeInput): ThreadAnswer<FadeProjection> => answered(() => projectFade(input));
