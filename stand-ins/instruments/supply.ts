import { readSupply, switchOutput } from '$lib/core/world/bench';
import type { Commands } from '../scpi/instrument';
import { booleanOf, numberOf } from '../scpi/syntax';
import type { Watchdog } from '../watchdog';
import type { World } from '../world';
import { LONGEST_WATCHDOG_S, clockCommand, fixed } from './common';

/** Commands of the bench supply. */
export function supplyCommands(world: World, watchdog: Watchdog): Commands {
	const setting = () => world.bench().supply;
	const limits = () => world.bench().scenario.supply;
	return {
		'[SOURce:]VOLTage[:LEVel]': ([v]) => void (setting().voltageV = numberOf(v, 'V', 0, limits().maxV)),
		'[SOURce:]VOLTage[:LEVel]?': () => fixed(setting().voltageV, 4),
		'[SOURce:]CURRent[:LEVel]': ([a]) => void (setting().currentA = numberOf(a, 'A', 0, limits().maxA)),
		'[SOURce:]CURRent[:LEVel]?': () => fixed(setting().currentA, 4),
		'OUTPut[:STATe]': ([on]) => switchOutput(world.bench(), 'supply', booleanOf(on)),
		'OUTPut[:STATe]?': () => (setting().on ? 1 : 0),
		'OUTPut:WATChdog': ([s]) => watchdog.setS(numberOf(s, 'S', 0, LONGEST_WATCHDOG_S)),
		'OUTPut:WATChdog?': () => watchdog.seconds(),
		'MEASure[:SCALar]:VOLTage[:DC]?': () => fixed(readSupply(world.bench()).voltageV, 4),
		'MEASure[:SCALar]:CURRent[:DC]?': () => fixed(readSupply(world.bench()).currentA, 4),
		'MEASure[:SCALar]:POWer?': () => {
			const { voltageV, currentA } = readSupply(world.bench());
			return fixed(voltageV * currentA, 3);
		},
		...clockCommand(world)
	};
}

export function resetSupply(world: World): void {
	Object.assign(world.bench().supply, { voltageV: 0, currentA: 0, on: false });
}
