import { connect, createServer, type AddressInfo } from 'node:net';
import { ServerTCP } from 'modbus-serial';
import { CoreError } from '$lib/core/foundation/errors';
import { spoiledAnswer, type FaultSwitch } from '../faults';
import type { RegisterMap } from './registers';

const ILLEGAL_ADDRESS = 2;
const DEVICE_FAILURE = 4;
const MAX_REGISTERS = 125;

const exception = (modbusErrorCode: number) => Object.assign(new Error('modbus'), { modbusErrorCode });

function read(map: RegisterMap, from: number, count: number): number[] {
	let registers: Map<number, number>;
	try {
		registers = map.registers();
	} catch (error) {
		// Nothing on the bench yet.
		if (error instanceof CoreError) throw exception(DEVICE_FAILURE);
		throw error;
	}
	return Array.from({ length: Math.min(count, MAX_REGISTERS) }, (_, k) => {
		const value = registers.get(from + k);
		if (value === undefined) throw exception(ILLEGAL_ADDRESS);
		return value;
	});
}

/** A port nobody listens on; the package takes 0 for its default. */
function freePort(host: string): Promise<number> {
	const probe = createServer();
	return new Promise((done, failed) => {
		probe.once('error', failed);
		probe.listen(0, host, () => {
			const { port } = probe.address() as AddressInfo;
			probe.close(() => done(port));
		});
	});
}

/** The protocol itself, on a port of its own that only {@link serveModbus} speaks to. */
async function innerServer(
	map: RegisterMap,
	unitID: number,
	host: string
): Promise<{ server: ServerTCP; port: number }> {
	const port = await freePort(host);
	const server = new ServerTCP(
		{
			getMultipleInputRegisters: (from: number, count: number) => read(map, from, count),
			getMultipleHoldingRegisters: (from: number, count: number) => read(map, from, count),
			getInputRegister: (at: number) => read(map, at, 1)[0],
			getHoldingRegister: (at: number) => read(map, at, 1)[0],
			setRegister: (at: number, value: number) => {
				if (!map.write(at, value)) throw exception(ILLEGAL_ADDRESS);
			}
		},
		{ host, port, unitID }
	);
	return new Promise((done, failed) => {
		server.on('serverError', (error) => failed(error));
		server.on('initialized', () => done({ server, port }));
	});
}

/** Serves a register map over Modbus TCP; answers take their time and pass through the instrument's faults. */
export async function serveModbus(
	map: RegisterMap,
	unitId: number,
	faults: FaultSwitch,
	latencyMs: number,
	host: string,
	port: number
): Promise<{ close(): void; port: number }> {
	const inner = await innerServer(map, unitId, host);
	const server = createServer((outside) => {
		const inside = connect(inner.port, host);
		const end = () => {
			outside.destroy();
			inside.destroy();
		};
		outside.setNoDelay(true);
		for (const socket of [outside, inside]) socket.on('error', end).on('close', end);
		outside.pipe(inside);
		let turn = Promise.resolve();
		inside.on('data', (answer: Buffer) => (turn = turn.then(() => pass(answer))));
		async function pass(answer: Buffer): Promise<void> {
			await new Promise((done) => setTimeout(done, latencyMs));
			const fault = faults.take();
			if (fault === 'reset') return void outside.resetAndDestroy();
			const sent = fault === null ? answer : spoiledAnswer(answer, fault);
			if (sent && outside.writable) outside.write(sent);
		}
	});
	await new Promise<void>((done, failed) => {
		server.once('error', failed);
		server.listen(port, host, done);
	});
	return {
		port: (server.address() as AddressInfo).port,
		close() {
			server.close();
			inner.server.close(() => undefined);
		}
	};
}
