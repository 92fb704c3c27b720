import type { Knex } from 'knex';
import { afterAll, afterEach, beforeAll } from 'vitest';
import type { LivePhase } from '$lib/core/foundation/live-run';
import { cells, deliveries, liveRuns, type Bank, type Cell, type Instrument } from '$lib/server/records';
import { benchHands, type Hands } from '$lib/server/instruments/hands';
import { bundledInstruments } from '$lib/server/address-book/instruments';
import { beginLiveRun } from '$lib/server/live/live-begin';
import { planLiveRun, valuesToConfirm } from '$lib/server/live/live-plan';
import { pauseAll } from '$lib/server/live/live-runner';
import { stopLiveRun } from '$lib/server/live/live-service';
import { startRehearsal } from '$lib/server/rehearsals/rehearsal';
import { startBench, type BenchServer } from '../../stand-ins/bench-server';
import { openWire } from '../../stand-ins/testing/wire';
import { freshDatabase } from './database';

export const discharge = { kind: 'discharge', currentA: 50, cutoffV: 2.5 } satisfies LivePhase;
export const charge = { kind: 'charge', voltageV: 3.65, currentA: 50, tailA: 5, holdS: 0 } satisfies LivePhase;
export const rest = { kind: 'rest', durationS: 1800 } satisfies LivePhase;

/** A real database, the stand-ins in this process, and the five cells of the first crate on their bench. */
export interface LiveBench {
	server: BenchServer;
	hands: Hands;
	bank: Bank;
	crate: Cell[];
	tools: Record<string, Instrument>;
}

/** Sets up a bench for a file of tests; after each test every run is stopped and every fault mended. */
export function withLiveBench(name: string): () => LiveBench {
	let pool: Knex;
	let here: LiveBench;
	beforeAll(async () => {
		pool = await freshDatabase(name);
		const server = await startBench(0);
		process.env.KIND_EMBER_BENCH = `127.0.0.1:${server.port}`;
		const bank = await startRehearsal({ ready: 'first-crate' });
		const [delivery] = await deliveries.all({ bankId: bank.id });
		here = {
			server,
			hands: benchHands('127.0.0.1', server.port),
			bank,
			crate: await cells.all({ deliveryId: delivery!.id }),
			tools: await bundledInstruments()
		};
	});
	afterEach(async () => {
		for (const run of await liveRuns.all({ bankId: here.bank.id }))
			if (run.state !== 'ended') await stopLiveRun(run.id).catch(() => undefined);
		await tellHands(here, 'FAUL:CLE');
	});
	afterAll(async () => {
		await pauseAll();
		here.server.close();
		await pool.destroy();
	});
	return () => here;
}

async function tellHands({ server }: LiveBench, line: string): Promise<void> {
	const wire = await openWire(server.port);
	wire.send(line);
	await wire.ask('*OPC?');
	wire.close();
}

/** Makes an instrument misbehave for so many answers. */
export const fault = (at: LiveBench, name: string, kind: string, answers: number): Promise<void> =>
	tellHands(at, `FAUL '${name}',${kind},${answers}`);

/** A capacity run of the first cell, or what `more` makes of it. */
export const plan = ({ bank, crate, tools }: LiveBench, phases: LivePhase[], more: object = {}) =>
	planLiveRun({
		bankId: bank.id,
		kind: 'capacity',
		cellId: crate[0]!.id,
		instruments: { supply: tools.supply!.id, load: tools.load!.id, voltmeter: tools.voltmeter!.id },
		phases,
		temperatureC: 21,
		...more
	});

/** A discharge of one of the fuller cells that lasts as long as a test needs. */
export const slow = (at: LiveBench, index: number, more: object = {}) =>
	plan(at, [{ ...discharge, currentA: 2 }], { cellId: at.crate[index]!.id, ...more });

export const begin = async (id: number) =>
	beginLiveRun(id, { confirmed: await valuesToConfirm(await liveRuns.get(id)) });

/** Longer than it takes on any machine, however busy, ms. */
const PATIENCE_MS = 120_000;
export async function until(what: () => Promise<boolean>): Promise<void> {
	const end = Date.now() + PATIENCE_MS;
	while (!(await what())) {
		if (Date.now() > end) throw new Error('it did not come about');
		await new Promise((done) => setTimeout(done, 50));
	}
}
export const stateIs = (id: number, state: string) => async () => (await liveRuns.get(id)).state === state;
