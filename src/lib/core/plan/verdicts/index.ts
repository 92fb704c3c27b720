import { sayFrom } from '../../foundation/verdicts';
import { SHARED_VERDICTS } from '../../picture';
import { LABEL_VERDICTS } from './label';
import { LAYOUT_VERDICTS } from './layout';
import { PLANNING_VERDICTS } from './planning';

/** Every verdict of this stage, by its code. */
export const PLAN_VERDICTS = {
	...LABEL_VERDICTS,
	...LAYOUT_VERDICTS,
	...PLANNING_VERDICTS
};

/** Says one of them, or one that several stages say. */
export const say = sayFrom({ ...SHARED_VERDICTS, ...PLAN_VERDICTS });
export { hardwareWords } from './planning';
export type { MakerFigure } from './layout';
export { LIFT_KG, LABEL_AGREES, HARDLY_EVER } from './bounds';
