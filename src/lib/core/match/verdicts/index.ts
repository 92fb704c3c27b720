import { sayFrom } from '../../foundation/verdicts';
import { SHARED_VERDICTS } from '../../picture';
import { GROUP_VERDICTS } from './match';

/** Every verdict of this stage, by its code. */
export const MATCH_VERDICTS = {
	...GROUP_VERDICTS
};

/** Says one of them, or one that several stages say. */
export const say = sayFrom({ ...SHARED_VERDICTS, ...MATCH_VERDICTS });
export { refusalWords } from './match';
export { BUILD_LIMITS } from './bounds';
