import { readOhmmeter, readVoltmeter } from '$lib/core/world/bench';
import type { Commands } from '../scpi/instrument';
import type { World } from '../world';
import { NOT_A_READING, clockCommand, fixed } from './common';

/** Commands of the voltmeter. */
export const voltmeterCommands = (world: World): Commands => ({
	'MEASure[:SCALar]:VOLTage[:DC]?': () => fixed(readVoltmeter(world.bench()), 4),
	...clockCommand(world)
});

/** Commands of the four-wire milliohm meter; it answers in ohms. */
export const ohmmeterCommands = (world: World): Commands => ({
	'MEASure[:SCALar]:FRESistance?': () => {
		const mohm = readOhmmeter(world.bench());
		return mohm === null ? NOT_A_READING : (mohm / 1000).toExponential(4);
	},
	...clockCommand(world)
});
