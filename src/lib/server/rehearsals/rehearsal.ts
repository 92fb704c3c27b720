import { completeScenario, type Place, type Scenario, type Tool } from '$lib/core/world/bench';
import { acResistanceMohm } from '$lib/core/world/cell-model';
import type { PictureCell } from '$lib/core/picture';
import { CHEMISTRY_FIGURES } from '$lib/core/foundation/chemistry';
import {
	READY_SCENARIOS,
	judgeRehearsal,
	readyScenario,
	readyScenarios,
	scenarioOfSeed,
	type Finding,
	type ReadyScenario
} from '$lib/core/world/rehearsal';
import { findingsOf } from '$lib/core/bank';
import type { ConclusionsInput, RehearsalInput } from '$lib/input/live';
import type { StageVerdict } from '$lib/core/foundation/verdicts';
import { InputError } from '$lib/input/validate';
import { rehearsals, verdictChanges, type Bank, type Rehearsal } from '../records';
import { ServiceError } from '../errors';
import type { BenchState } from '../instruments/hands';

import { asServiceError, bundledHands, bundledInstruments, hasBundledBench } from '../address-book/instruments';
import { currentPlacements } from '../bank-picture/placements';
import { benchStateOf, refuseBusyBench, rehearsalOf, saveBenchState, takeUpRehearsal } from './bench/bench';
import { groupsAsPlaced, refuseWhileRunning } from './hands';
import { loadBankPicture } from '../bank-picture/load';
import { inTransaction } from '../db/transaction';
import { bankVerdicts } from '../judgements/store';
import { recordKind } from '../records/registry';
import { createOnce } from '../records/write';

/** What can be rehearsed, and whether the bench for it is there. */
export const rehearsalChoices = () => ({ scenarios: readyScenarios(), bench: hasBundledBench() });

function scenarioFrom({ ready, seed, scenario }: RehearsalInput): Scenario {
	if (scenario) return completeScenario(scenario);
	if (seed !== undefined && seed !== null) return scenarioOfSeed(seed);
	if (READY_SCENARIOS.includes(ready as ReadyScenario)) return readyScenario(ready as ReadyScenario);
	throw new InputError([{ path: 'ready', message: `requires one of ${READY_SCENARIOS.join(', ')}, or a seed` }]);
}

/** Temperature a maker's figures are given at, °C. */
const RATED_C = 25;

/** Puts a crate on the simulated bench and makes a bank for it, marked as a rehearsal. */
export async function startRehearsal(input: RehearsalInput): Promise<Bank> {
	// Two rehearsals of one scenario must be told apart on the bench: by their names.
	const drawn = scenarioFrom(input);
	const before = (await rehearsals.all({})).filter((r) => r.scenario.name.startsWith(drawn.name)).length;
	const scenario = before ? { ...drawn, name: `${drawn.name} (${before + 1})` } : drawn;
	await refuseBusyBench(null);
	await saveBenchState();
	try {
		await bundledHands().load(scenario);
	} catch (error) {
		throw asServiceError(error);
	}
	await bundledInstruments();
	return makeRehearsalBank(scenario);
}

/** The bank of a crate on the simulated bench, with its type, its delivery and the rehearsal itself: all marked as simulated. */
async function makeRehearsalBank(scenario: Scenario): Promise<Bank> {
	const { nominalV: _, plausibleRestV: __, ...limits } = CHEMISTRY_FIGURES[scenario.chemistry];
	const { chemistry, ratedAh, series, parallel } = scenario;
	const marked = async () => ({ rehearsal: true });
	return inTransaction(async (tx) => {
		const make = async (kind: string, body: object, more = async () => ({})) =>
			(await createOnce(recordKind(kind), body, more, tx)).record;
		const type = await make(
			'cell-types',
			{
				name: `Rehearsal ${ratedAh} Ah`,
				maker: 'Nobody: simulated',
				chemistry,
				ratedAh,
				acResistanceMohm: Number(acResistanceMohm({ capacityAh: ratedAh, resistanceFactor: 1 }, RATED_C).toFixed(3)),
				...limits
			},
			marked
		);
		const bank = await make(
			'banks',
			{
				name: scenario.name,
				bankUse: 'other',
				chemistry,
				series,
				parallel,
				batteries: 1,
				cellTypeId: type.id,
				notes: scenario.story,
				endFraction: 0.8
			},
			marked
		);
		await make('deliveries', {
			bankId: bank.id,
			name: 'Crate',
			receivedOn: new Date().toISOString().slice(0, 10),
			supplier: 'the simulated bench',
			cellCount: scenario.cells.length,
			labelPrefix: 'R'
		});
		await rehearsals.insert({ bankId: bank.id, scenario }, tx);
		return bank as Bank;
	});
}

export interface RehearsalState {
	story: string;
	bench: BenchState | null;
	revealedAt: string | null;
	conclusions: Finding[];
	/** What the application itself concluded from the readings so far. */
	suggested: Finding[];
	judgement: Rehearsal['judgement'];
	prices: Scenario['prices'];
	cells: BenchCell[];
	leads: number;
}

/** A cell as anybody sees it at the bench. */
export interface BenchCell {
	id: number;
	label: string;
	/** The latest reading of its rest voltage, V; null when it was not read. */
	restVoltageV: number | null;
	/** Group it is built into, from 1; null while it is loose. */
	group: number | null;
	/** What is clipped to it. */
	tools: Tool[];
}

/** Where a rehearsal stands; the truth only once it was revealed. */
export async function rehearsalState(bankId: number): Promise<RehearsalState> {
	const rehearsal = await rehearsalOf(bankId);
	const { scenario } = rehearsal;
	const { cells } = await loadBankPicture(bankId);
	const bench = await benchStateOf(rehearsal);
	return {
		story: scenario.story,
		bench,
		revealedAt: rehearsal.revealedAt,
		conclusions: rehearsal.conclusions ?? [],
		suggested: await suggestedFindings(bankId),
		judgement: rehearsal.judgement,
		prices: scenario.prices,
		cells: cells.map((cell) => seenAtBench(cell, scenario, bench)),
		leads: scenario.series
	};
}

function seenAtBench({ id, label, readings }: PictureCell, scenario: Scenario, bench: BenchState | null): BenchCell {
	const index = scenario.cells.findIndex((c) => c.label === label);
	const group = bench?.groups.findIndex((g) => g.includes(index)) ?? -1;
	const isOn = (place: Place) => typeof place === 'object' && place !== null && 'cell' in place && place.cell === index;
	return {
		id,
		label,
		restVoltageV: readings.restVoltage?.value ?? null,
		group: group < 0 ? null : group + 1,
		tools: (Object.entries(bench?.clips ?? {}) as [Tool, Place][]).filter(([, p]) => isOn(p)).map(([tool]) => tool)
	};
}

/** Verdicts on what hands can put right, so that they go again. */
const MENDABLE: readonly string[] = ['leads-wrong', 'joint-loose'];

/** What the judgements of a rehearsal’s bank amount to as findings. */
async function suggestedFindings(bankId: number): Promise<Finding[]> {
	const changes = await verdictChanges.all({ bankId });
	// What was mended at the bench is found all the same.
	const mended = changes.flatMap(({ saysNow }) => (saysNow && MENDABLE.includes(saysNow.code) ? [saysNow] : []));
	const found = findingsOf(
		[...(await bankVerdicts(bankId)), ...(mended as StageVerdict[])],
		await loadBankPicture(bankId)
	);
	return [...new Map(found.map((f) => [`${f.kind} ${f.where}`, f])).values()];
}

interface LeftBench {
	groups: number[][];
	incidents: Parameters<typeof judgeRehearsal>[0]['incidents'];
	cells: { overChargedAh: number[]; overDischargedAh: number[] };
}

/** Ends a rehearsal: the conclusions stand, and the truth is shown beside them. */
export async function revealRehearsal(bankId: number, input: ConclusionsInput): Promise<Rehearsal> {
	await refuseWhileRunning(bankId);
	await takeUpRehearsal(bankId);
	const rehearsal = await rehearsalOf(bankId);
	if (rehearsal.revealedAt)
		throw new ServiceError(409, 'revealed', 'This rehearsal has been closed: the truth is known.');
	const left = (await bundledHands().save()) as LeftBench;
	const label = (i: number) => rehearsal.scenario.cells[i]!.label;
	const conclusions = input.conclusions.map(({ kind, where }): Finding => ({ kind, where: where ?? null }));
	const placed = await currentPlacements(bankId);
	const built = left.groups.length
		? left.groups.map((g) => g.map(label))
		: placed.length
			? (await groupsAsPlaced(bankId, rehearsal)).groups.map((g) => g.map(label))
			: null;
	const judgement = judgeRehearsal({
		scenario: rehearsal.scenario,
		conclusions,
		built: built && built.length === rehearsal.scenario.series ? built : null,
		incidents: left.incidents,
		overChargedAh: left.cells.overChargedAh,
		overDischargedAh: left.cells.overDischargedAh
	});
	return rehearsals.update(rehearsal.id, rehearsal.version, {
		conclusions,
		judgement,
		saved: JSON.stringify(left),
		revealedAt: new Date().toISOString()
	});
}
