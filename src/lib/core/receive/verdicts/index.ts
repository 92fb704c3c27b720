import { sayFrom } from '../../foundation/verdicts';
import { SHARED_VERDICTS } from '../../picture';
import { ARRIVAL_VERDICTS } from './arrival';
import { INSPECTION_VERDICTS } from './inspection';
import { CODE_VERDICTS } from './codes';
import { MODULE_VERDICTS } from './modules';
import { CELL_VERDICTS } from './cells';
import { SELF_DISCHARGE_VERDICTS } from './self-discharge';

/** Every verdict of this stage, by its code. */
export const RECEIVE_VERDICTS = {
	...ARRIVAL_VERDICTS,
	...INSPECTION_VERDICTS,
	...CODE_VERDICTS,
	...MODULE_VERDICTS,
	...CELL_VERDICTS,
	...SELF_DISCHARGE_VERDICTS
};

/** Says one of them, or one that several stages say. */
export const say = sayFrom({ ...SHARED_VERDICTS, ...RECEIVE_VERDICTS });
export { UNDER_SHEET, OVER_PROMISE, SWELLS } from './bounds';
