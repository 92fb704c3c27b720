import { CHEMISTRY_FIGURES } from '$lib/core/chemistry';
import {
	checkJoin,
	isBalanced,
	judgeProgress,
	planTopBalance,
	type BalanceAnswer,
	type BalanceCell,
	type BalancePlan,
	type ChargeProgress,
	type JoinCheck
} from '$lib/core/balance';
import { meterSd } from '$lib/core/reading';
import type { BalanceQuestionInput } from '$lib/input/records';
import {
	balanceReadings,
	balanceRuns,
	type BalanceReading,
	type BalanceRun,
	type Bank,
	type CellType
} from '../db/tables';
import { bankWithType, deliveryTrays } from './delivery-service';
import { currentPlacements } from './match-service';
import { bankCapacities } from './run-service';
import { currentMeters } from './settings-service';

/** What a person has at the bench until they say otherwise (default). */
const ASSUMED_SUPPLY = { supplyA: 20, leadOhm: 0.01 };

export interface BalanceState {
	cells: BalanceCell[];
	run: BalanceRun | null;
	readings: BalanceReading[];
	supply: { supplyA: number; leadOhm: number };
	plan: BalancePlan | null;
	join: JoinCheck | null;
	progress: ChargeProgress | null;
}

/** The matched cells of a bank with what is known of their charge; every cell when none are placed yet. */
async function balanceCells(bankId: number, cellType: CellType | null): Promise<BalanceCell[]> {
	const [placed, trays, { capacities }] = await Promise.all([
		currentPlacements(bankId),
		deliveryTrays(bankId),
		bankCapacities(bankId)
	]);
	const chosen = new Set(placed.map((p) => p.cellId));
	const runOf = new Map(capacities.map((c) => [c.cell.id, c]));
	return trays.flatMap(({ cells, judgement }) =>
		cells
			.filter((c) => chosen.has(c.id))
			.map((c) => {
				const { capacityAh, run } = runOf.get(c.id) ?? { capacityAh: null, run: null };
				const reading = c.readings.restVoltage ?? null;
				// A capacity run changes a cell’s charge: what was read before it says nothing any more.
				const outdated = run !== null && (reading === null || run.testedAt > reading.takenAt);
				return {
					id: c.id,
					label: c.label,
					capacityAh: capacityAh ?? cellType?.ratedAh ?? 100,
					socLow: outdated ? 0 : (judgement.socByCell[c.id]?.lowFraction ?? 0),
					socHigh: outdated ? 1 : (judgement.socByCell[c.id]?.highFraction ?? 1),
					// A cell that read negative is turned before it is joined.
					restVoltageV: outdated || reading === null ? null : Math.abs(reading.value),
					resistanceMohm: c.readings.acResistance?.value ?? null
				};
			})
	);
}

function planFor(
	cells: BalanceCell[],
	bank: Bank,
	cellType: CellType | null,
	supply: BalanceState['supply']
): BalancePlan | null {
	if (cells.length === 0) return null;
	const figures = CHEMISTRY_FIGURES[bank.chemistry];
	return planTopBalance(cells, {
		chemistry: bank.chemistry,
		chargeLimitV: cellType?.chargeLimitV ?? figures.chargeLimitV,
		chargeCRate: cellType?.chargeCRate ?? figures.chargeCRate,
		...supply
	});
}

/** Where the parallel top balance of a bank stands: plan, joining check, log and progress. */
export async function balanceState(bankId: number): Promise<BalanceState> {
	const { bank, cellType } = await bankWithType(bankId);
	const cells = await balanceCells(bankId, cellType);
	const run = (await balanceRuns.all({ bankId })).at(-1) ?? null;
	const readings = run ? await balanceReadings.all({ balanceRunId: run.id }) : [];
	const supply = run ? { supplyA: run.supplyA, leadOhm: run.leadOhm } : ASSUMED_SUPPLY;
	const plan = planFor(cells, bank, cellType, supply);
	return {
		cells,
		run,
		readings,
		supply,
		plan,
		join: cells.length ? checkJoin(cells) : null,
		progress: run && plan ? progressOf(run, readings, plan) : null
	};
}

function progressOf(run: BalanceRun, readings: readonly BalanceReading[], plan: BalancePlan): ChargeProgress {
	const startMs = Date.parse(run.startedAt ?? run.createdAt);
	// Two readings in the same instant are one: the later entry stands.
	const byTime = new Map(readings.map((r) => [(Date.parse(r.readAt) - startMs) / 1000, r]));
	const ordered = [...byTime]
		.sort(([a], [b]) => a - b)
		.map(([timeS, r]) => ({
			timeS,
			supplyV: r.supplyV,
			supplyA: r.supplyA,
			cellV: r.cellV,
			deliveredAh: r.deliveredAh
		}));
	return judgeProgress(ordered, plan);
}

/** "Is it balanced?" for group voltages read now. */
export async function answerIsBalanced(input: BalanceQuestionInput): Promise<BalanceAnswer> {
	const { bank, cellType } = await bankWithType(input.bankId);
	const groupAh = (cellType?.ratedAh ?? 100) * bank.parallel;
	return isBalanced({
		chemistry: bank.chemistry,
		groupVoltagesV: input.groupVoltagesV,
		currentA: input.currentA,
		groupAh,
		meterSdV: meterSd((await currentMeters()).restVoltage, input.groupVoltagesV[0])
	});
}
