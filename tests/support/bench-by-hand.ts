import { openWire, type Wire } from '../../stand-ins/testing/wire';

type Place = { cell: number; turned?: boolean } | 'pack' | null;
type Tool = 'SUPP' | 'LOAD' | 'VOLT';

/** Somebody at the bundled bench: wires, clips, switches, waits and reads, all by its instruments' own lines. */
export interface ByHand {
	wire(
		kind: 'loose' | 'parallel' | 'series',
		groups?: number[][],
		more?: { turned?: number[]; plugged?: boolean }
	): Promise<void>;
	clip(tool: Tool, place: Place): Promise<void>;
	pace(factor: number): Promise<void>;
	skip(hours: number): Promise<void>;
	charge(voltageV: number, currentA: number): Promise<void>;
	/** Until the load switches itself off by its own display. */
	dischargeTo(cutoffV: number, currentA: number): Promise<void>;
	off(): Promise<void>;
	/** What the voltmeter shows at a place. */
	volts(place: Place): Promise<number>;
	/** What the supply shows. */
	supply(): Promise<{ volts: number; amps: number }>;
	groups(): Promise<number[]>;
	nowMs(): Promise<number>;
	close(): void;
}

const LONGEST_MS = 60_000;
const LOOK_MS = 40;

export async function benchByHand(port: number): Promise<ByHand> {
	const hands = await openWire(port);
	const ports = JSON.parse(await hands.ask('SYST:INST?')) as { name: string; port: number }[];
	const lines = new Map<string, Wire>();
	for (const name of ['supply', 'load', 'voltmeter'])
		lines.set(name, await openWire(ports.find((p) => p.name === name)!.port));
	const tell = async (wire: Wire, line: string) => {
		wire.send(line);
		const trouble = await wire.ask('SYST:ERR?');
		if (!/^\+?0/.test(trouble)) throw new Error(`${line}: ${trouble}`);
	};
	const [supply, load, voltmeter] = ['supply', 'load', 'voltmeter'].map((n) => lines.get(n)!) as [Wire, Wire, Wire];
	const quoted = (value: unknown) => `'${JSON.stringify(value)}'`;
	const state = async () => JSON.parse(await hands.ask('WORL:STAT?')) as { clockMs: number; groups: number[][] };
	const self: ByHand = {
		wire: (kind, groups = [], { turned = [], plugged = kind === 'series' } = {}) =>
			tell(hands, `HAND:WIRE ${quoted({ kind, groups, turned, plugged })}`),
		clip: (tool, place) => tell(hands, `HAND:CLIP ${tool},${quoted(place)}`),
		pace: (factor) => tell(hands, `WORL:TIME:FACT ${factor}`),
		skip: (hours) => tell(hands, `WORL:SKIP ${hours * 3600}`),
		async charge(voltageV, currentA) {
			for (const line of [`VOLT ${voltageV}`, `CURR ${currentA}`, 'OUTP ON']) await tell(supply, line);
		},
		async dischargeTo(cutoffV, currentA) {
			for (const line of ['FUNC CURR', `CURR ${currentA}`, `VOLT:CUT ${cutoffV}`, 'INP ON']) await tell(load, line);
			const end = Date.now() + LONGEST_MS;
			while ((await load.ask('INP:TRIP?')) !== '1') {
				if (Date.now() > end) throw new Error('the load never came to its cut-off');
				await new Promise((done) => setTimeout(done, LOOK_MS));
			}
			await tell(load, 'INP OFF');
		},
		async off() {
			await tell(supply, 'OUTP OFF');
			await tell(load, 'INP OFF');
		},
		async volts(place) {
			await self.clip('VOLT', place);
			return Number(await voltmeter.ask('MEAS:VOLT?'));
		},
		supply: async () => ({
			volts: Number(await supply.ask('MEAS:VOLT?')),
			amps: Number(await supply.ask('MEAS:CURR?'))
		}),
		async groups() {
			const read: number[] = [];
			for (const [cell] of (await state()).groups) read.push(await self.volts({ cell: cell! }));
			return read;
		},
		nowMs: async () => (await state()).clockMs,
		close() {
			for (const wire of [hands, ...lines.values()]) wire.close();
		}
	};
	return self;
}

/** Until something is so at the bench. */
export async function untilSo(what: () => Promise<boolean>): Promise<void> {
	const end = Date.now() + LONGEST_MS;
	while (!(await what())) {
		if (Date.now() > end) throw new Error('it did not come about at the bench');
		await new Promise((done) => setTimeout(done, LOOK_MS));
	}
}
