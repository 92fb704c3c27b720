import { sayFrom } from '../../foundation/verdicts';
import { SHARED_VERDICTS } from '../../picture';
import { SERVICE_VERDICTS } from './serve';

/** Every verdict of this stage, by its code. */
export const SERVE_VERDICTS = {
	...SERVICE_VERDICTS
};

/** Says one of them, or one that several stages say. */
export const say = sayFrom({ ...SHARED_VERDICTS, ...SERVE_VERDICTS });
export type { NotJudgedCause } from './serve';
export { GROWS, MIN_SHARE_A_CHECK, WORN_CELLS_SD } from './bounds';
