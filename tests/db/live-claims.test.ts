import { beforeAll, describe, expect, it } from 'vitest';
import { cells, liveRuns, type Bank, type Cell, type Instrument } from '$lib/server/records';
import { stopLiveRun } from '$lib/server/live/live-service';
import { tryInstrument } from '$lib/server/address-book/instruments';
import { createServer, type Server } from 'node:net';
import { begin, discharge, plan, withLiveBench } from '../support/live-bench';
import { make } from '../support/records';

const here = withLiveBench('claims');
let real: Bank;
let crate: Cell[];
const loads: Instrument[] = [];

/** One load of the bench, in the address book of a real bank under two names. */
beforeAll(async () => {
	real = await make<Bank>('banks', { name: 'Real', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 });
	const box = { bankId: real.id, name: 'Crate', receivedOn: '2026-01-01', cellCount: 2 };
	const delivery = await make<{ id: number }>('deliveries', box);
	crate = await cells.all({ deliveryId: delivery.id });
	const { port } = (await here().hands.instruments()).find((i) => i.name === 'load')!;
	for (const host of ['127.0.0.1', 'localhost'])
		loads.push(await make<Instrument>('instruments', { name: `Load at ${host}`, kind: 'load', host, port }));
	await here().hands.clip('load', { cell: 2 });
});

const planned = (index: number) =>
	plan(here(), [{ ...discharge, currentA: 2 }], {
		bankId: real.id,
		cellId: crate[index]!.id,
		instruments: { load: loads[index]!.id }
	});
const statesOf = async (ids: number[]) => Promise.all(ids.map(async (id) => (await liveRuns.get(id)).state));

describe('one output is driven by one run', () => {
	it('also where it stands in the address book twice', async () => {
		const [first, second] = [await planned(0), await planned(1)];
		await begin(first.id);
		await expect(begin(second.id)).rejects.toMatchObject({ status: 409, code: 'in-use' });
		expect(here().server.world.bench().load.on).toBe(true);
		await stopLiveRun(first.id);
		await begin(second.id);
		await stopLiveRun(second.id);
	});
	it('and of two that begin at once one wins: never both, never neither', async () => {
		for (let round = 0; round < 6; round++) {
			const runs = [await planned(0), await planned(1)];
			const results = await Promise.allSettled(runs.map((r) => begin(r.id)));
			expect(results.filter((r) => r.status === 'fulfilled')).toHaveLength(1);
			expect((await statesOf(runs.map((r) => r.id))).sort()).toEqual(['planned', 'running']);
			for (const r of runs) await stopLiveRun(r.id);
		}
	});
});

describe('an address', () => {
	const odd: [string, RegExp][] = [
		['127.999.999.999', /no address/],
		['1.2.3', /no address/],
		['0x7f.1', /no address/],
		['169.254.169.254', /never called/],
		['[fe80::1]', /never called/],
		['0.0.0.0', /never called/],
		['224.0.0.1', /never called/]
	];
	it.each(odd)('%s is refused', async (host, message) => {
		const entry = { name: 'Odd', kind: 'load', host, port: 5025, outsideNamed: true };
		await expect(make('instruments', entry)).rejects.toThrow(message);
	});
	it.each(['127.0.0.1', 'localhost', '127.1.2.3', '[::1]'])('%s is this computer', async (host) => {
		expect(await make('instruments', { name: 'Own', kind: 'load', host, port: 5025 })).toMatchObject({ host });
	});
	it('at which somebody else’s service answers shows nothing of what that says', async () => {
		const secret = 'SSH-2.0-OpenSomething secret,of,another,service\x07';
		const server: Server = createServer((socket) => {
			socket.on('error', () => undefined);
			socket.on('data', () => socket.write(`${secret}\r\n`));
		});
		await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
		const { port } = server.address() as { port: number };
		const entry = await make<Instrument>('instruments', {
			name: 'Not one',
			kind: 'voltmeter',
			host: '127.0.0.1',
			port
		});
		const said = await tryInstrument(entry.id).then(
			(v) => JSON.stringify(v),
			(e: Error) => e.message
		);
		server.close();
		expect(said).not.toContain('secret');
		expect(said).toMatch(/not text|no instrument/);
	});
});
