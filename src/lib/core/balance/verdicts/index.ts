import { sayFrom } from '../../foundation/verdicts';
import { SHARED_VERDICTS } from '../../picture';
import { BALANCED_VERDICTS } from './balance';
import { BALANCER_VERDICTS } from './balancer';
import { CHARGE_VERDICTS } from './charge';
import { AFTER_CHARGE_VERDICTS } from './after-charge';
import { JOINING_VERDICTS } from './joining';
import { LINKS_VERDICTS } from './links';
import { BOTTOM_AND_FAST_VERDICTS } from './bottom-and-fast';

/** Every verdict of this stage, by its code. */
export const BALANCE_VERDICTS = {
	...BALANCED_VERDICTS,
	...BALANCER_VERDICTS,
	...CHARGE_VERDICTS,
	...AFTER_CHARGE_VERDICTS,
	...JOINING_VERDICTS,
	...LINKS_VERDICTS,
	...BOTTOM_AND_FAST_VERDICTS
};

/** Says one of them, or one that several stages say. */
export const say = sayFrom({ ...SHARED_VERDICTS, ...BALANCE_VERDICTS });
export { COMPARABLE_RUNS, REPEAT_AT_SHARE, OVER_LIMIT_METER_V } from './bounds';
