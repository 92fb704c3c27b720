import { answerOf, yearOfUse, type YearAnswer, type YearInput } from '$lib/core/plan/use-year';
import { stepBack } from './step-back';
import { answered, type ThreadAnswer } from './thread-answer';

stepBack();

/** Server-side thread: a plan in, its year out. */
export default (input: YearInput): ThreadAnswer<YearAnswer> => answered(() => answerOf(yearOfUse(input)));
