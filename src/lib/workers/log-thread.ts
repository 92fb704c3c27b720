import { analysedLog, type AnalysedLog, type LogWork } from './analysed-log';
import { stepBack } from './step-back';
import { answered, type ThreadAnswer } from './thread-answer';

stepBack();

/** Server-side thread: the bytes of a capacity-run log in, what they say out. */
export default (work: LogWork): ThreadAnswer<AnalysedLog> => answered(() => analysedLog(work));
