import { sayFrom } from '../../foundation/verdicts';
import { SHARED_VERDICTS } from '../../picture';
import { BUILT_VERDICTS } from './build';

/** Every verdict of this stage, by its code. */
export const BUILD_VERDICTS = {
	...BUILT_VERDICTS
};

/** Says one of them, or one that several stages say. */
export const say = sayFrom({ ...SHARED_VERDICTS, ...BUILD_VERDICTS });
export { PASS_FROM } from './bounds';
