import type { Place } from '$lib/core/world/bench';
import { TOP_BALANCE_V } from '$lib/core/foundation/chemistry';
import type { HandsInput } from '$lib/input/live';
import { ServiceError } from '../errors';
import type { BenchState } from '../instruments/hands';
import { banks, liveRuns, type Rehearsal } from '../records';
import { asServiceError, bundledHands, bundledInstruments, linkTo } from '../address-book/instruments';
import { currentPlacements } from '../bank-picture/placements';
import {
	benchCell,
	rehearsalClock,
	rehearsalOf,
	saveBenchState,
	takeUpRehearsal,
	wasReadReversed
} from './bench/bench';

/** @param which `driven`: a run that only watches does not mind what flows */
export async function refuseWhileRunning(bankId: number, which: 'any' | 'driven' = 'any'): Promise<void> {
	const running = (await liveRuns.all({ bankId })).some(
		(r) => r.state === 'running' && (which === 'any' || r.kind !== 'watch')
	);
	if (running)
		throw new ServiceError(409, 'running', 'A live run is going on these cells. Stop it before your hands go in.');
}

/** Bench numbers of the cells as matched, group by group, and of those that go in the other way round than they are printed. */
export async function groupsAsPlaced(
	bankId: number,
	rehearsal: Rehearsal
): Promise<{ groups: number[][]; turned: number[] }> {
	const placed = await currentPlacements(bankId);
	if (placed.length === 0)
		throw new ServiceError(409, 'not-matched', 'Match the cells first: then your hands know which cell goes where.');
	const groups: number[][] = [];
	const turned: number[] = [];
	for (const { cellId, position } of placed) {
		const cell = await benchCell(rehearsal, cellId);
		(groups[position - 1] ??= []).push(cell);
		if (await wasReadReversed(cellId)) turned.push(cell);
	}
	return { groups, turned };
}

/** The hands of the rehearsal: wiring, probes, the pace of time. @returns the bench after it */
export async function moveHands(bankId: number, input: HandsInput): Promise<BenchState> {
	const rehearsal = await rehearsalOf(bankId);
	await takeUpRehearsal(bankId);
	const hands = bundledHands();
	try {
		if (input.timeFactor) await hands.timeFactor(input.timeFactor);
		if (input.wire) {
			await refuseWhileRunning(bankId);
			const { groups, turned } =
				input.wire === 'loose' ? { groups: [], turned: [] } : await groupsAsPlaced(bankId, rehearsal);
			await hands.wire(input.wire, groups, turned, input.plugged ?? true);
		}
		const [first, second] = input.exchangeLeads ?? [];
		if (first !== undefined && second !== undefined) await hands.exchangeLeads([first, second]);
		if (input.reseatLead !== undefined) await hands.reseatLead(input.reseatLead);
		if (input.tightenGroup !== undefined) {
			await refuseWhileRunning(bankId);
			await hands.tighten(input.tightenGroup);
		}
		if (input.chargeA !== undefined) await switchSupply(bankId, input.chargeA);
		if (input.loadA !== undefined) await switchLoad(bankId, input.loadA);
		if (input.skipS) {
			await refuseWhileRunning(bankId);
			await hands.skip(input.skipS);
		}
		const probe = await probePlace(rehearsal, input);
		if (probe) await hands.clip('voltmeter', probe);
		await saveBenchState();
		return await hands.state();
	} catch (error) {
		throw asServiceError(error);
	}
}

/** The current nobody would cut off at, V a cell: the BMS does that. */
const LOAD_CUTOFF_V = 0;

/** The bench's load across the row or battery, by hand. */
async function switchLoad(bankId: number, currentA: number): Promise<void> {
	await refuseWhileRunning(bankId, 'driven');
	const { load } = await bundledInstruments();
	await linkTo(load).useNow((driver) => driver.switchOutput!(false));
	if (currentA === 0) return;
	await bundledHands().clip('load', 'pack');
	await linkTo(load).useNow(async (driver) => {
		await driver.set!({ currentA, voltageV: LOAD_CUTOFF_V }, 0);
		await driver.switchOutput!(true);
	});
}

/** The bench's supply across the row or battery, by hand: at the voltage a top balance uses, for each group in series. */
async function switchSupply(bankId: number, currentA: number): Promise<void> {
	await refuseWhileRunning(bankId, 'driven');
	const { supply } = await bundledInstruments();
	await linkTo(supply).useNow((driver) => driver.switchOutput!(false));
	if (currentA === 0) return;
	const hands = bundledHands();
	const { wiring, groups } = await hands.state();
	const { chemistry } = await banks.get(bankId);
	await hands.clip('supply', 'pack');
	await linkTo(supply).useNow(async (driver) => {
		const inSeries = wiring === 'series' ? groups.length : 1;
		await driver.set!({ currentA, voltageV: TOP_BALANCE_V[chemistry] * inSeries }, 0);
		await driver.switchOutput!(true);
	});
}

async function probePlace(rehearsal: Rehearsal, input: HandsInput): Promise<Place> {
	if (input.probeCellId) return { cell: await benchCell(rehearsal, input.probeCellId) };
	if (input.probeLead !== undefined) return { lead: input.probeLead };
	return input.probe ?? null;
}

/** What the voltmeter shows where its probes are now, V. */
export async function readProbes(bankId: number): Promise<{ voltageV: number }> {
	await rehearsalClock(bankId);
	const { voltmeter } = await bundledInstruments();
	try {
		const { voltageV } = await linkTo(voltmeter).useNow((driver) => driver.read());
		return { voltageV: voltageV! };
	} catch (error) {
		throw asServiceError(error);
	}
}
