import { sayFrom } from '../../foundation/verdicts';
import { SHARED_VERDICTS } from '../../picture';
import { LIMIT_VERDICTS } from './limits';

/** Every verdict of this stage, by its code. */
export const LIMITS_VERDICTS = {
	...LIMIT_VERDICTS
};

/** Says one of them, or one that several stages say. */
export const say = sayFrom({ ...SHARED_VERDICTS, ...LIMITS_VERDICTS });
export type { BadRelease, BrokenLink } from './limits';
export { FUSE_MARGIN } from './bounds';
