import { sayFrom } from '../../foundation/verdicts';
import { SHARED_VERDICTS } from '../../picture';
import { PROOF_VERDICTS } from './prove';

/** Every verdict of this stage, by its code. */
export const PROVE_VERDICTS = {
	...PROOF_VERDICTS
};

/** Says one of them, or one that several stages say. */
export const say = sayFrom({ ...SHARED_VERDICTS, ...PROVE_VERDICTS });
export { COULOMBIC } from './bounds';
