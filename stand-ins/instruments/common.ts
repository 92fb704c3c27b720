import type { Commands } from '../scpi/instrument';
import type { World } from '../world';

/** Made-up maker and model of every stand-in. */
export const MAKER = 'Lantern Bench Works';
export const VERSION = '1.0';
export const LONGEST_WATCHDOG_S = 3600;
/** What SCPI gives where there is nothing to measure. */
export const NOT_A_READING = '9.91E37';

export const fixed = (value: number, digits: number): string => value.toFixed(digits);

/** Every stand-in tells the time of its world, s since 1970, so that samples carry it. */
export const clockCommand = (world: World): Commands => ({
	'SYSTem:CLOCk?': () => fixed((world.clockMs() ?? 0) / 1000, 3)
});
