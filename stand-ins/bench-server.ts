import type { AddressInfo, Server } from 'node:net';
import { createFaultSwitch, type FaultSwitch } from './faults';
import { MAKER, VERSION } from './instruments/common';
import { handsCommands, type InstrumentAddress } from './instruments/hands';
import { loadCommands, resetLoad } from './instruments/load';
import { ohmmeterCommands, voltmeterCommands } from './instruments/meters';
import { resetSupply, supplyCommands } from './instruments/supply';
import { BMS_UNIT, SHUNT_UNIT, bmsMap, shuntMap } from './modbus/registers';
import { serveModbus } from './modbus/server';
import { createScpiInstrument, type Commands } from './scpi/instrument';
import { serveScpi } from './scpi/server';
import { createWatchdog } from './watchdog';
import { createWorld, type World } from './world';

/** Time each kind takes for an answer, ms. */
const LATENCY_MS = { supply: 2, load: 2, voltmeter: 4, ohmmeter: 6, hands: 0 };
const MODBUS_LATENCY_MS = 3;
/** The world is moved on at least this often, ms, whether anyone asks or not. */
const TICK_MS = 50;

/** On the port wanted, else on any that is free. */
async function orFree<Served>(wanted: number, serve: (port: number) => Promise<Served>): Promise<Served> {
	try {
		return await serve(wanted);
	} catch (error) {
		if (wanted === 0 || (error as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw error;
		return serve(0);
	}
}

export interface BenchServer {
	world: World;
	/** Where the hands listen; they tell the addresses of the others. */
	port: number;
	addresses: readonly InstrumentAddress[];
	close(): void;
}

/**
 * Starts every stand-in on loopback ports: the hands on `port` (0: any), the others on those behind it, so that they keep theirs over a
 * restart; on any free one where that is taken.
 */
export async function startBench(port: number, host = '127.0.0.1', now: () => number = Date.now): Promise<BenchServer> {
	const world = createWorld(now);
	const faults = new Map<string, FaultSwitch>();
	const addresses: InstrumentAddress[] = [];
	const closers: (() => void)[] = [];
	let next = port;
	/** The next port behind that of the hands; 0: any. */
	const behind = () => (port === 0 ? 0 : ++next);
	const faultsOf = (name: string) => {
		const faultSwitch = createFaultSwitch();
		faults.set(name, faultSwitch);
		return faultSwitch;
	};
	const scpi = async (
		name: keyof typeof LATENCY_MS,
		commands: Commands,
		reset: () => void,
		heard?: () => void,
		at = behind()
	) => {
		const identity = `${MAKER},${name.toUpperCase()}-S,SIM-${name.length}${name.charCodeAt(0)},${VERSION}`;
		const instrument = createScpiInstrument(identity, commands, reset);
		const faultSwitch = faultsOf(name);
		const server: Server = await orFree(at, (own) =>
			serveScpi(instrument, faultSwitch, LATENCY_MS[name], host, own, heard)
		);
		closers.push(() => server.close());
		addresses.push({ name, protocol: 'scpi', port: (server.address() as AddressInfo).port, unitId: null });
	};
	const guarded = (switchOff: () => void) => {
		const watchdog = createWatchdog(now, () => {
			if (world.clockMs() !== null) switchOff();
		});
		closers.push(watchdog.stop);
		return watchdog;
	};
	const heardBy = (watchdog: { heard(): void }) => () => {
		watchdog.heard();
		world.heard();
	};
	const supplyDog = guarded(() => (world.bench().supply.on = false));
	const loadDog = guarded(() => (world.bench().load.on = false));
	await scpi('supply', supplyCommands(world, supplyDog), () => resetSupply(world), heardBy(supplyDog));
	await scpi('load', loadCommands(world, loadDog), () => resetLoad(world), heardBy(loadDog));
	const touched = () => world.touched();
	await scpi('voltmeter', voltmeterCommands(world), () => undefined, touched);
	await scpi('ohmmeter', ohmmeterCommands(world), () => undefined, touched);
	for (const [name, unitId, map] of [
		['bms', BMS_UNIT, bmsMap(world)],
		['shunt', SHUNT_UNIT, shuntMap(world)]
	] as const) {
		const faultSwitch = faultsOf(name);
		const served = await orFree(behind(), (own) => serveModbus(map, unitId, faultSwitch, MODBUS_LATENCY_MS, host, own));
		closers.push(served.close);
		addresses.push({ name, protocol: 'modbus', port: served.port, unitId });
	}
	await scpi(
		'hands',
		handsCommands(world, faults, () => addresses.filter((a) => a.name !== 'hands')),
		() => undefined,
		undefined,
		port
	);
	const timer = setInterval(() => void world.clockMs(), TICK_MS);
	closers.push(() => clearInterval(timer));
	const handsPort = addresses.find((a) => a.name === 'hands')!.port;
	return { world, port: handsPort, addresses, close: () => closers.forEach((close) => close()) };
}
