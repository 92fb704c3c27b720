import type { Place, Tool } from '$lib/core/world/bench';
import type { Wiring } from '$lib/core/world/simulation';
import { openScpi, quotedJson } from './scpi-client';

/** What can be seen at the bundled bench. */
export interface BenchState {
	name: string;
	seed: number;
	wiring: Wiring;
	plugged: boolean;
	groups: number[][];
	clips: Record<Tool, Place>;
	clockMs: number;
	timeS: number;
	timeFactor: number;
	ambientC: number;
	supplyOn: boolean;
	loadOn: boolean;
	/** Why nothing flows although an output on the battery is on. */
	heldBack: { flow: 'charge' | 'discharge'; group: number; readV: number } | null;
}

export interface BenchInstrument {
	name: string;
	protocol: 'scpi' | 'modbus';
	port: number;
	unitId: number | null;
}

/** The bundled bench's hands: what a person would do there. Each call is a connection of its own. Throws InstrumentError. */
export interface Hands {
	instruments(): Promise<BenchInstrument[]>;
	state(): Promise<BenchState>;
	load(scenario: unknown): Promise<void>;
	save(): Promise<unknown>;
	restore(saved: unknown): Promise<void>;
	wire(kind: Wiring, groups: number[][], turned: number[], plugged?: boolean): Promise<void>;
	/** Exchanges two balance leads in their plug, which is out. */
	exchangeLeads(leads: readonly [number, number]): Promise<void>;
	/** Puts one balance lead firmly on its own node; the plug is out. */
	reseatLead(lead: number): Promise<void>;
	/** Tightens the bars of one group, from 1; everything is off. */
	tighten(group: number): Promise<void>;
	clip(tool: Tool, place: Place): Promise<void>;
	timeFactor(factor: number): Promise<void>;
	skip(durationS: number): Promise<void>;
}

const PATIENCE_MS = 5000;
/** A month of a big bank takes a while to compute. */
const SKIP_PATIENCE_MS = 60_000;
const TOOL_WORDS: Record<Tool, string> = { supply: 'SUPP', load: 'LOAD', voltmeter: 'VOLT', ohmmeter: 'OHMM' };

/** Hands at `host:port`. */
export function benchHands(host: string, port: number): Hands {
	const ask = async <T>(query: string): Promise<T> => {
		const client = await openScpi(host, port, PATIENCE_MS);
		try {
			return JSON.parse(await client.ask(query)) as T;
		} finally {
			client.close();
		}
	};
	const tell = async (line: string, patienceMs = PATIENCE_MS): Promise<void> => {
		const client = await openScpi(host, port, patienceMs);
		try {
			await client.tell(line);
		} finally {
			client.close();
		}
	};
	return {
		instruments: () => ask('SYST:INST?'),
		state: () => ask('WORL:STAT?'),
		load: (scenario) => tell(`WORL:LOAD ${quotedJson(scenario)}`),
		save: () => ask('WORL:SAVE?'),
		restore: (saved) => tell(`WORL:REST ${quotedJson(saved)}`),
		wire: (kind, groups, turned, plugged = true) => tell(`HAND:WIRE ${quotedJson({ kind, groups, turned, plugged })}`),
		exchangeLeads: ([a, b]) => tell(`HAND:LEAD:EXCH ${a},${b}`),
		reseatLead: (lead) => tell(`HAND:LEAD:RES ${lead}`),
		tighten: (group) => tell(`HAND:BAR:TIGH ${group}`),
		clip: (tool, place) => tell(`HAND:CLIP ${TOOL_WORDS[tool]},${quotedJson(place)}`),
		timeFactor: (factor) => tell(`WORL:TIME:FACT ${factor}`),
		skip: (durationS) => tell(`WORL:SKIP ${durationS}`, SKIP_PATIENCE_MS)
	};
}
