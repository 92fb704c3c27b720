import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { readyScenario } from '$lib/core/world/rehearsal';
import type { Driver, InstrumentKind } from '$lib/server/instruments/driver';
import { benchHands } from '$lib/server/instruments/hands';
import { createLink, type Link } from '$lib/server/instruments/link';
import { openDriver } from '$lib/server/instruments/open-driver';
import { startBench, type BenchServer } from '../../stand-ins/bench-server';
import { openWire } from '../../stand-ins/testing/wire';

let bench: BenchServer;
/** Where an answer is awaited, and where none will come, ms. */
const [LONG_MS, SHORT_MS] = [30_000, 400];
const opened: { close(): void }[] = [];
const KINDS: InstrumentKind[] = ['supply', 'load', 'voltmeter', 'ohmmeter', 'bms', 'shunt'];
const addressOf = (kind: InstrumentKind) => {
	const { port, unitId } = bench.addresses.find((a) => a.name === kind)!;
	return { kind, host: '127.0.0.1', port, unitId };
};
const open = async (kind: InstrumentKind, patienceMs = LONG_MS): Promise<Driver> => {
	const driver = await openDriver(addressOf(kind), patienceMs);
	opened.push(driver);
	return driver;
};
const link = (kind: InstrumentKind, patienceMs = LONG_MS): Link => {
	const made = createLink(() => openDriver(addressOf(kind), patienceMs), Date.now);
	opened.push(made);
	return made;
};
async function fault(kind: InstrumentKind, what: string, answers = 1): Promise<void> {
	const hands = await openWire(bench.port);
	hands.send(`FAUL '${kind}',${what},${answers}`);
	await hands.ask('*OPC?');
	hands.close();
}

beforeAll(async () => {
	bench = await startBench(0);
});
beforeEach(async () => {
	const hands = benchHands('127.0.0.1', bench.port);
	await hands.load({ ...readyScenario('first-crate'), timeFactor: 1 });
	await hands.wire('series', [[0], [1], [2], [3]], []);
	await hands.clip('voltmeter', { cell: 4 });
	await hands.clip('ohmmeter', { cell: 4 });
});
afterEach(async () => {
	const hands = await openWire(bench.port);
	hands.send('FAUL:CLE');
	await hands.ask('*OPC?');
	hands.close();
	opened.splice(0).forEach((o) => o.close());
});
afterAll(() => bench.close());

describe.each(KINDS)('the driver of a %s', (kind) => {
	it('connects, identifies and reads with the instrument’s own clock', async () => {
		const driver = await open(kind);
		const identity = await driver.identify();
		expect(identity.text.length).toBeGreaterThan(5);
		expect(identity.ownClock).toBe(true);
		expect(identity.watchdog).toBe(kind === 'supply' || kind === 'load');
		const reading = await driver.read();
		expect(Math.abs(reading.atMs - bench.world.clockMs()!)).toBeLessThan(1000);
		if (kind === 'ohmmeter') expect(reading.resistanceOhm).toBeGreaterThan(0.0002);
		else if (kind === 'bms') expect(reading.groupV).toHaveLength(4);
		else if (kind === 'voltmeter') expect(reading.voltageV).toBeGreaterThan(3.2);
		else expect(reading.currentA).toBeCloseTo(0, 1);
	});
	it.each(['silence', 'garbage', 'partial', 'reset', 'unit'])('survives %s and reads again', async (what) => {
		if (what === 'unit' && kind !== 'bms' && kind !== 'shunt') return;
		const line = link(kind, SHORT_MS);
		await vi.waitFor(() => line.useNow((d) => d.read()), LONG_MS);
		await fault(kind, what);
		await expect(line.use((d) => d.read())).rejects.toMatchObject({ name: 'InstrumentError' });
		expect(line.status()).toMatchObject({ connected: false });
		expect(line.status().trouble!.message.length).toBeGreaterThan(15);
		const again = await vi.waitFor(() => line.useNow((d) => d.read()), LONG_MS);
		expect(again.atMs).toBeGreaterThan(0);
		expect(line.status()).toMatchObject({ connected: true, trouble: null });
	});
});

describe('setting an output', () => {
	it('reaches the world, with its watchdog, and only when switched on', async () => {
		const hands = benchHands('127.0.0.1', bench.port);
		await hands.clip('supply', 'pack');
		const supply = await open('supply');
		await supply.identify();
		await supply.set!({ voltageV: 14, currentA: 12 }, 20);
		expect(bench.world.bench().supply).toMatchObject({ voltageV: 14, currentA: 12, on: false });
		await supply.switchOutput!(true);
		expect((await supply.read()).currentA).toBeCloseTo(12, 1);
		await supply.switchOutput!(false);
		expect((await supply.read()).on).toBe(false);
	});
	it('gives the load’s current as out of the battery', async () => {
		const hands = benchHands('127.0.0.1', bench.port);
		await hands.clip('load', { cell: 4 });
		const load = await open('load');
		await load.identify();
		await load.set!({ voltageV: 2.5, currentA: 15 }, 0);
		await load.switchOutput!(true);
		expect((await load.read()).currentA).toBeCloseTo(-15, 1);
		await load.switchOutput!(false);
	});
	it('goes off even where nothing sensible is answered, and it is not taken for done', async () => {
		const hands = benchHands('127.0.0.1', bench.port);
		await hands.clip('load', { cell: 4 });
		const line = link('load', 3000);
		await line.use((d) => d.set!({ voltageV: 2.5, currentA: 5 }, 0));
		await line.use((d) => d.switchOutput!(true));
		line.close();
		await fault('load', 'garbage', 100);
		await expect(line.attemptOnce((d) => d.switchOutput!(false))).rejects.toMatchObject({ name: 'InstrumentError' });
		expect(bench.world.bench().load.on).toBe(false);
	});
	it('that the instrument refuses is told in the instrument’s words, and the line stays', async () => {
		const line = link('supply');
		await expect(line.use((d) => d.set!({ voltageV: 5000, currentA: 1 }, 0))).rejects.toThrow(/out of range/);
		expect(line.status().connected).toBe(true);
	});
});

describe('back-off', () => {
	it('waits twice as long after each failure, refuses at once meanwhile, and starts afresh after success', async () => {
		let clock = 1_000_000;
		let attempts = 0;
		let works = false;
		const line = createLink(
			async () => {
				attempts++;
				if (!works) throw new Error('no route');
				return openDriver(addressOf('voltmeter'), LONG_MS);
			},
			() => clock
		);
		opened.push(line);
		const tried = async () => {
			const before = attempts;
			await line.use((d) => d.read()).catch(() => undefined);
			return attempts > before;
		};
		expect(await tried()).toBe(true);
		expect(await tried()).toBe(false);
		clock += 251;
		expect(await tried()).toBe(true);
		clock += 251;
		expect(await tried()).toBe(false);
		clock += 250;
		expect(await tried()).toBe(true);
		for (let n = 0; n < 10; n++) {
			clock += 31_000;
			await tried();
		}
		expect(line.status().trouble!.retryAtMs - clock).toBe(30_000);
		works = true;
		clock += 31_000;
		expect(await tried()).toBe(true);
		expect(line.status()).toMatchObject({ connected: true, trouble: null });
	});
	it('says where nobody answers', async () => {
		const nobody = createLink(
			() => openDriver({ kind: 'supply', host: '127.0.0.1', port: 9, unitId: null }, LONG_MS),
			Date.now
		);
		await expect(nobody.use((d) => d.read())).rejects.toThrow(/127\.0\.0\.1:9.*on and plugged in/);
	});
});

describe('what an instrument cannot answer', () => {
	it('probes in the air are named', async () => {
		await benchHands('127.0.0.1', bench.port).clip('ohmmeter', null);
		await expect((await open('ohmmeter')).read()).rejects.toThrow(/probes touch nothing/);
	});
	it('a BMS without a battery says so', async () => {
		await benchHands('127.0.0.1', bench.port).wire('loose', [], []);
		await expect((await open('bms')).read()).rejects.toThrow(/no battery/);
	});
	it('a wrong unit is silent, and the message says to check it', async () => {
		const driver = openDriver({ ...addressOf('shunt'), unitId: 77 }, 200);
		opened.push(await driver);
		await expect((await driver).read()).rejects.toThrow(/unit id/);
	});
});
