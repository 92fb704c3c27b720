import { sayFrom } from '../../foundation/verdicts';
import { SHARED_VERDICTS } from '../../picture';
import { GRADE_VERDICTS } from './grades';
import { CAPACITY_VERDICTS } from './capacity';
import { WITNESS_VERDICTS } from './witnesses';

/** Every verdict of this stage, by its code. */
export const TEST_VERDICTS = {
	...GRADE_VERDICTS,
	...CAPACITY_VERDICTS,
	...WITNESS_VERDICTS
};

/** Says one of them, or one that several stages say. */
export const say = sayFrom({ ...SHARED_VERDICTS, ...TEST_VERDICTS });
export {
	TESTER_GAIN_SD,
	DECISION_PROBABILITY,
	BELIEVABLE,
	CONTRADICT,
	TOO_GOOD,
	ODD_SDS,
	LARGEST_CORRECTION,
	LIKE_CELLS_SD,
	APART_SDS
} from './bounds';
