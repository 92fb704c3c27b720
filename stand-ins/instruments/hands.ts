import {
	TIME_FACTORS,
	clipTool,
	completeScenario,
	exchangeLeads,
	heldBack,
	reseatLead,
	tightenBars,
	wireBench,
	type Place,
	type Tool
} from '$lib/core/world/bench';
import { CoreError } from '$lib/core/foundation/errors';
import type { Wiring } from '$lib/core/world/simulation';
import { FAULT_KINDS, type FaultKind, type FaultSwitch } from '../faults';
import type { Commands } from '../scpi/instrument';
import { numberOf, stringOf, wordOf, ScpiError } from '../scpi/syntax';
import { restoreBench, saveBench, type SavedBench } from '../saved-bench';
import type { World } from '../world';
import { clockCommand, fixed } from './common';

export interface InstrumentAddress {
	name: string;
	protocol: 'scpi' | 'modbus';
	port: number;
	unitId: number | null;
}

const LONGEST_SKIP_S = 90 * 86400;
const TOOLS: Record<string, Tool> = { SUPPly: 'supply', LOAD: 'load', VOLTmeter: 'voltmeter', OHMMeter: 'ohmmeter' };

function jsonOf(parameter: string | undefined): unknown {
	try {
		return JSON.parse(stringOf(parameter));
	} catch (error) {
		if (error instanceof ScpiError) throw error;
		throw new ScpiError(-151, 'Invalid string data');
	}
}

/** What anybody at the bench can see; nothing that is hidden. */
function visible(world: World) {
	const bench = world.bench();
	return {
		name: bench.scenario.name,
		seed: bench.scenario.seed,
		wiring: bench.wiring,
		plugged: bench.plugged,
		groups: bench.joined?.groups ?? [],
		clips: bench.clips,
		clockMs: world.clockMs(),
		timeS: bench.timeS,
		timeFactor: world.timeFactor(),
		ambientC: bench.scenario.ambientC,
		supplyOn: bench.supply.on,
		loadOn: bench.load.on,
		heldBack: heldBack(bench)
	};
}

/** The hands of the person at the bench and the world itself, as one more instrument: what real instruments have no command for. */
export function handsCommands(
	world: World,
	faults: ReadonlyMap<string, FaultSwitch>,
	addresses: () => readonly InstrumentAddress[]
): Commands {
	return {
		'WORLd:LOAD': ([json]) => world.load(completeScenario(jsonOf(json))),
		'WORLd:STATe?': () => JSON.stringify(visible(world)),
		'WORLd:SAVE?': () => JSON.stringify(saveBench(world.bench(), world.clockMs()!)),
		'WORLd:RESTore': ([json]) => {
			const saved = jsonOf(json) as SavedBench;
			world.replace(restoreBench(saved), saved.clockMs);
		},
		'WORLd:TIME:FACTor': ([x]) => world.setTimeFactor(numberOf(x, '', TIME_FACTORS.least, TIME_FACTORS.most)),
		'WORLd:TIME:FACTor?': () => fixed(world.timeFactor(), 3),
		'WORLd:SKIP': ([s]) => {
			const durationS = numberOf(s, 'S', 0, LONGEST_SKIP_S);
			const { supply, load } = world.bench();
			if (supply.on || load.on)
				throw new CoreError('live', 'world', 'Switch the supply and the load off before time is skipped.');
			world.skip(durationS);
		},
		'HANDs:WIRE': ([json]) => {
			world.touched();
			const { kind, groups, turned, plugged } = jsonOf(json) as {
				kind: Wiring;
				groups?: number[][];
				turned?: number[];
				plugged?: boolean;
			};
			wireBench(world.bench(), kind, groups ?? [], turned ?? [], plugged ?? true);
		},
		'HANDs:LEADs:EXCHange': ([a, b]) => {
			const lead = (text: string | undefined) => numberOf(text, '', 0, 128);
			exchangeLeads(world.bench(), [lead(a), lead(b)]);
		},
		'HANDs:LEADs:RESeat': ([lead]) => reseatLead(world.bench(), numberOf(lead, '', 0, 128)),
		'HANDs:BAR:TIGHten': ([group]) => tightenBars(world.bench(), numberOf(group, '', 1, 128)),
		'HANDs:CLIP': ([tool, json]) => {
			world.touched();
			clipTool(world.bench(), TOOLS[wordOf(tool, Object.keys(TOOLS))]!, jsonOf(json) as Place);
		},
		FAULt: ([name, kind, answers]) => {
			const faultSwitch = faults.get(stringOf(name));
			if (!faultSwitch) throw new ScpiError(-224, 'Illegal parameter value');
			const chosen = wordOf(kind, FAULT_KINDS) as FaultKind;
			faultSwitch.set({ kind: chosen, answers: answers === undefined ? 1 : numberOf(answers, '', 1, 1e9) });
		},
		'FAULt:CLEar': () => faults.forEach((f) => f.set(null)),
		'SYSTem:INSTruments?': () => JSON.stringify(addresses()),
		...clockCommand(world)
	};
}
