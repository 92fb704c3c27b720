import { connect, type Socket } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { clipTool, wireBench } from '$lib/core/world/bench';
import { readyScenario } from '$lib/core/world/rehearsal';
import { startBench, type BenchServer } from './bench-server';
import { exchange, modbusFrame, openWire } from './testing/wire';

let bench: BenchServer;
const sockets: Socket[] = [];
const portOf = (name: string) => bench.addresses.find((a) => a.name === name)!.port;
async function open(name: string): Promise<Socket> {
	const socket = connect(portOf(name), '127.0.0.1');
	sockets.push(socket);
	await new Promise((done) => socket.once('connect', done));
	return socket.on('error', () => undefined);
}
const read = (from: number, count: number) => [from >> 8, from & 255, count >> 8, count & 255];

beforeAll(async () => {
	bench = await startBench(0);
	bench.world.load({ ...readyScenario('first-crate'), timeFactor: 1 });
	wireBench(bench.world.bench(), 'series', [[0], [1], [2], [3]], []);
});
afterAll(() => {
	sockets.forEach((s) => s.destroy());
	bench.close();
});

describe('a BMS over Modbus TCP', () => {
	it.each([3, 4])('answers function %i with its groups in millivolts', async (code) => {
		const answer = (await exchange(await open('bms'), modbusFrame(1, code, read(100, 4))))!;
		expect([...answer.subarray(0, 9)]).toEqual([0, 1, 0, 0, 0, 11, 1, code, 8]);
		for (let g = 0; g < 4; g++) expect(answer.readUInt16BE(9 + 2 * g)).toBeGreaterThan(3200);
	});
	it('tells map version, groups, and that both directions are allowed', async () => {
		const answer = (await exchange(await open('bms'), modbusFrame(1, 4, read(0, 4))))!;
		expect([0, 1, 2, 3].map((k) => answer.readUInt16BE(9 + 2 * k))).toEqual([1, 4, 3, 0]);
	});
	it('refuses an address that is not there with exception 2', async () => {
		const answer = (await exchange(await open('bms'), modbusFrame(1, 4, read(5000, 2))))!;
		expect([answer[7], answer[8]]).toEqual([0x84, 2]);
	});
	it('refuses a function it does not know with exception 1', async () => {
		const answer = (await exchange(await open('bms'), modbusFrame(1, 0x2b ^ 0x40, [0, 0, 0, 0])))!;
		expect([answer[7]! & 0x80, answer[8]]).toEqual([0x80, 1]);
	});
	it('says nothing to another unit', async () =>
		expect(await exchange(await open('bms'), modbusFrame(9, 4, read(0, 1)), 400)).toBeNull());
	it('takes a limit that may be set, and refuses to write a reading', async () => {
		const socket = await open('bms');
		const set = (await exchange(socket, modbusFrame(1, 6, [0, 200, 14, 36])))!;
		expect([set[7], set.readUInt16BE(10)]).toEqual([6, 3620]);
		expect(bench.world.bench().joined!.guarded.bms!.limits.cellHighV).toBe(3.62);
		const refused = (await exchange(socket, modbusFrame(1, 6, [0, 100, 0, 1])))!;
		expect([refused[7], refused[8]]).toEqual([0x86, 2]);
	});
});

describe('a shunt over Modbus TCP', () => {
	it('counts what flows, and starts again at nothing when told', async () => {
		const world = bench.world.bench();
		clipTool(world, 'load', 'pack');
		Object.assign(world.load, { mode: 'current', currentA: 10, on: true });
		const socket = await open('shunt');
		bench.world.skip(1800);
		const counted = async () => (await exchange(socket, modbusFrame(2, 4, read(6, 2))))!.readInt32BE(9) / 1000;
		expect(await counted()).toBeCloseTo(-5, 1);
		await exchange(socket, modbusFrame(2, 6, [0, 20, 0, 1]));
		expect(Math.abs(await counted())).toBeLessThan(0.1);
		const current = (await exchange(socket, modbusFrame(2, 4, read(4, 2))))!.readInt32BE(9) / 1000;
		expect(current).toBeCloseTo(-10, 0);
		world.load.on = false;
	});
});

describe('faults on demand', () => {
	const fault = async (kind: string) => {
		const hands = await openWire(bench.port);
		hands.send(`FAUL 'shunt',${kind}`);
		await hands.ask('*OPC?');
		hands.close();
		return open('shunt');
	};
	it('silence', async () =>
		expect(await exchange(await fault('silence'), modbusFrame(2, 4, read(0, 1)), 400)).toBeNull());
	it('a wrong unit id in the answer', async () =>
		expect((await exchange(await fault('unit'), modbusFrame(2, 4, read(0, 1))))![6]).not.toBe(2));
	it('half an answer', async () =>
		expect((await exchange(await fault('partial'), modbusFrame(2, 4, read(0, 1))))!.length).toBeLessThan(11));
	it('garbage', async () =>
		expect((await exchange(await fault('garbage'), modbusFrame(2, 4, read(0, 1))))!.readUInt16BE(2)).not.toBe(0));
	it('a reset connection', async () => {
		const socket = await fault('reset');
		const closed = new Promise((done) => socket.once('close', done));
		socket.write(modbusFrame(2, 4, read(0, 1)));
		await closed;
	});
});
