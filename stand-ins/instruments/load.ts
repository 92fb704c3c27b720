import { readLoad, switchOutput, type LoadMode } from '$lib/core/world/bench';
import type { Commands } from '../scpi/instrument';
import { booleanOf, numberOf, wordOf } from '../scpi/syntax';
import type { Watchdog } from '../watchdog';
import type { World } from '../world';
import { LONGEST_WATCHDOG_S, clockCommand, fixed } from './common';

const MODES: Record<string, LoadMode> = { CURRent: 'current', POWer: 'power', RESistance: 'resistance' };
const SHORT: Record<LoadMode, string> = { current: 'CURR', power: 'POW', resistance: 'RES' };
const MAX_OHM = 10_000;

/** Commands of the electronic load. */
export function loadCommands(world: World, watchdog: Watchdog): Commands {
	const setting = () => world.bench().load;
	const limits = () => world.bench().scenario.load;
	return {
		'[SOURce:]FUNCtion': ([word]) => void (setting().mode = MODES[wordOf(word, Object.keys(MODES))]!),
		'[SOURce:]FUNCtion?': () => SHORT[setting().mode],
		'[SOURce:]CURRent[:LEVel]': ([a]) => void (setting().currentA = numberOf(a, 'A', 0, limits().maxA)),
		'[SOURce:]CURRent[:LEVel]?': () => fixed(setting().currentA, 4),
		'[SOURce:]POWer[:LEVel]': ([w]) => void (setting().powerW = numberOf(w, 'W', 0, limits().maxW)),
		'[SOURce:]POWer[:LEVel]?': () => fixed(setting().powerW, 3),
		'[SOURce:]RESistance[:LEVel]': ([r]) => void (setting().resistanceOhm = numberOf(r, 'OHM', 0.01, MAX_OHM)),
		'[SOURce:]RESistance[:LEVel]?': () => fixed(setting().resistanceOhm, 4),
		'[SOURce:]VOLTage:CUToff': ([v]) => void (setting().cutoffV = numberOf(v, 'V', 0, 100)),
		'[SOURce:]VOLTage:CUToff?': () => fixed(setting().cutoffV, 4),
		'INPut[:STATe]': ([on]) => switchOutput(world.bench(), 'load', booleanOf(on)),
		'INPut[:STATe]?': () => (setting().on ? 1 : 0),
		'INPut:TRIPped?': () => (setting().cutOff ? 1 : 0),
		'INPut:WATChdog': ([s]) => watchdog.setS(numberOf(s, 'S', 0, LONGEST_WATCHDOG_S)),
		'INPut:WATChdog?': () => watchdog.seconds(),
		'MEASure[:SCALar]:VOLTage[:DC]?': () => fixed(readLoad(world.bench()).voltageV, 4),
		'MEASure[:SCALar]:CURRent[:DC]?': () => fixed(readLoad(world.bench()).currentA, 4),
		'MEASure[:SCALar]:POWer?': () => {
			const { voltageV, currentA } = readLoad(world.bench());
			return fixed(voltageV * currentA, 3);
		},
		...clockCommand(world)
	};
}

export function resetLoad(world: World): void {
	Object.assign(world.bench().load, {
		mode: 'current',
		currentA: 0,
		powerW: 0,
		resistanceOhm: 1000,
		cutoffV: 0,
		on: false,
		cutOff: false
	});
}
