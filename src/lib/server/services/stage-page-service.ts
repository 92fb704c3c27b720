import { ordersOf } from './orders-of-bank';
import { mean } from 'd3-array';
import { libraryOf } from '$lib/core/plan/needs';
import { bindingClause } from '$lib/core/test/clauses';
import type { Stage } from '$lib/core/foundation/shared';
import {
	bankCapacities,
	buildState,
	deliveryTrays,
	doneSteps,
	heldCapacities,
	limitsState,
	matchState,
	methodStanding,
	modulesOf,
	protocolStrip,
	proveState,
	type CellCapacity,
	type DeliveryTray,
	stoppedCells,
	waitingForTest,
	type BankPicture
} from '$lib/core/stages';
import { cellsOf, type StageVerdict } from '$lib/core/foundation/verdicts';
import { loadBankPicture } from '../bank-picture/load';
import { bankVerdicts } from '../judgements/store';
import { methodRuns, notedRuns, planItems, plans, priceSnapshots, protocols } from '../records';
import { looseByCellType } from '../bank-picture/loose-cells';
import { pauseOf } from '../stages/balance/pause-of';
import { balanceFacts } from '../stages/balance/stage';
import { buildFacts } from '../stages/build/stage';
import { methodOf } from '../records/method-runs/follow';
import { readSettings } from '../records/settings/settings';
import { planTime } from '../stages/plan/plan-time';
import { proveFacts } from '../stages/prove/stage';
import { serveFacts } from '../stages/serve/stage';
import { instrumentChoices } from './instrument-service';
import { currentPlacements, placedLabels } from './match-service';
import { listCellTypes } from './bank-service';
import { benchClock, roomTemperatureC } from './rehearsal-bench';

/** What every stage's page shows: its verdicts, as Home and the rail know them. */
interface StagePage {
	verdicts: StageVerdict[];
}

/** Marks and buttons are made from the facts of what wants a look, acknowledged or not; of the calm ones a page shows the words alone. */
const shownVerdict = (v: StageVerdict): StageVerdict => (v.warmth === 'calm' && !v.setApart ? { ...v, facts: {} } : v);

/** The page of a stage: its own state, and the judgement that is shown everywhere. */
async function pageOf<Own extends object>(bankId: number, stage: Stage, own: Promise<Own>): Promise<Own & StagePage> {
	const [state, verdicts] = await Promise.all([own, bankVerdicts(bankId, stage)]);
	return { ...state, verdicts: verdicts.map(shownVerdict) };
}

/** A tray as its page draws it: what was judged of it comes with the verdicts. */
const shownTray =
	(picture: BankPicture) =>
	({ delivery, cells }: DeliveryTray) => ({
		delivery,
		modules: modulesOf(delivery, picture).map((m) => ({ ...m, cells: m.cells.length })),
		cells: cells.map(({ id, label, plusTurned, readings, code, printedMonth, inspection }) => ({
			...{ id, label, plusTurned, readings, code, printedMonth, inspection }
		}))
	});

/** A cell under test as its page draws it. */
const shownCapacity = (picture: BankPicture, capacity: CellCapacity) => {
	const { cell, run, capacityAh, sdAh, refused, judgement, correction } = capacity;
	return {
		cell: { id: cell.id, label: cell.label, plusTurned: cell.plusTurned },
		run,
		capacityAh,
		sdAh,
		refused,
		outcome: judgement?.outcome ?? null,
		held: heldCapacities(picture, cell.id),
		strip: protocolStrip(picture, capacity),
		correction
	};
};

export const planPage = (bankId: number) =>
	pageOf(
		bankId,
		'plan',
		(async () => {
			const [picture, [plan], items, snapshots, types, loose, time, everyPlan] = await Promise.all([
				loadBankPicture(bankId),
				plans.all({ bankId }),
				planItems.all({ bankId }),
				priceSnapshots.all({ bankId }),
				listCellTypes(bankId),
				looseByCellType(bankId),
				planTime(),
				plans.all({})
			]);
			const newestFirst = [...everyPlan].sort((a, b) => b.updatedAt.localeCompare(a.updatedAt));
			return {
				plan: plan ?? null,
				things: libraryOf(newestFirst.flatMap((p) => p.loads ?? [])),
				items,
				snapshots,
				cellTypes: types,
				loose,
				time,
				done: doneSteps(picture)
			};
		})()
	);

export const receivePage = (bankId: number) =>
	pageOf(
		bankId,
		'receive',
		(async () => {
			const picture = await loadBankPicture(bankId);
			return {
				...(await ordersOf(picture)),
				trays: deliveryTrays(picture).map(shownTray(picture)),
				instruments: await instrumentChoices(),
				currency: (await readSettings()).currency
			};
		})()
	);

export const testPage = (bankId: number) =>
	pageOf(
		bankId,
		'test',
		(async () => {
			const picture = await loadBankPicture(bankId);
			const ids = picture.cells.map((c) => c.id);
			const [plan] = await plans.all({ bankId });
			return {
				inverterStopsV: plan?.inverter?.cutoffV ?? null,
				testerA: plan?.testDeliversA ?? plan?.testA ?? null,
				waitingForTest: waitingForTest(picture),
				capacities: bankCapacities(picture).map((c) => shownCapacity(picture, c)),
				instruments: await instrumentChoices(),
				roomC: await roomTemperatureC(bankId),
				protocols: await protocols.all({}),
				clause: picture.clauses.length ? bindingClause(picture.clauses) : null,
				notedRuns: ids.length ? await notedRuns.all({ cellId: ids, runId: null }) : []
			};
		})()
	);

export const matchPage = (bankId: number) =>
	pageOf(
		bankId,
		'match',
		(async () => {
			const picture = await loadBankPicture(bankId);
			const priced = picture.deliveries.filter((d) => d.cellPrice !== null);
			const ratedAh = picture.cellType?.ratedAh ?? null;
			return {
				...matchState(picture),
				placements: await currentPlacements(bankId),
				/** What an Ah of a group is worth. */
				worth: {
					ratedAh: ratedAh === null ? null : ratedAh * picture.bank.parallel,
					endFraction: picture.bank.endFraction,
					currency: picture.currency,
					pricePerAh: priced.length && ratedAh ? mean(priced, (d) => Number(d.cellPrice))! / ratedAh : null
				}
			};
		})()
	);

/** More of them nobody looks back at on a page. */
const MOST_ENDED = 12;
/** Balances by steps that were ended, the latest first. */
async function endedSteps(bankId: number) {
	const ended = (await methodRuns.all({ bankId })).filter((r) => r.endedAt !== null).slice(-MOST_ENDED);
	return Promise.all(ended.reverse().map(async (row) => ({ run: (await methodOf(row)).run })));
}

/** @param chosen cells for a balance that is still to be planned; none: as it stands */
export const balancePage = (bankId: number, chosen: readonly number[] = []) =>
	pageOf(
		bankId,
		'balance',
		(async () => {
			const picture = await loadBankPicture(bankId);
			const balance = await balanceFacts(picture, chosen.length ? chosen : null);
			const inRow = new Set(balance.cells.map((c) => c.id));
			const stops = (await bankVerdicts(bankId, 'receive')).filter((v) => v.warmth === 'stop' && !v.setApart);
			const stopped = new Set(stops.flatMap(cellsOf));
			const outOfUse = stoppedCells(picture);
			const capacities = new Map(bankCapacities(picture).map((c) => [c.cell.id, c.capacityAh]));
			const [plan] = await plans.all({ bankId });
			return {
				balance,
				planned: {
					hoursADay: plan?.supplyHoursADay ?? null,
					stringSupplyA: plan?.seriesChargeA ?? null,
					barsForCells: plan?.barsForCells ?? null
				},
				mayStand: picture.cells.map(({ id, label, groupId }) => {
					const placed = groupId !== null;
					return {
						...{ id, label, placed, inRow: inRow.has(id), stopped: outOfUse.has(id) },
						capacityAh: capacities.get(id) ?? null
					};
				}),
				instruments: await instrumentChoices(),
				roomC: await roomTemperatureC(bankId),
				clock: await benchClock(picture.bank),
				steps: picture.methodRun && {
					run: picture.methodRun.run,
					state: methodStanding(picture)!,
					groupAh: picture.methodRun.world.groupAh
				},
				endedSteps: await endedSteps(bankId),
				pause: pauseOf(picture, balance.readings, stopped)
			};
		})()
	);

/** Names of the cells of each battery, group by group. */
function cellNames({ batteries, cells }: BankPicture): Record<number, string[][]> {
	const labels = new Map(cells.map((c) => [c.id, c.label]));
	return Object.fromEntries(
		batteries.map((b) => [b.id, b.groups.map((g) => g.cellIds.map((id) => labels.get(id) ?? ''))])
	);
}

export const buildPage = (bankId: number) =>
	pageOf(
		bankId,
		'build',
		(async () => {
			const picture = await loadBankPicture(bankId);
			return {
				builds: buildState(picture, await buildFacts(picture)),
				cellNames: cellNames(picture),
				instruments: await instrumentChoices()
			};
		})()
	);

export const provePage = (bankId: number) =>
	pageOf(
		bankId,
		'prove',
		(async () => {
			const picture = await loadBankPicture(bankId);
			const proofs = proveState(picture, await proveFacts(picture));
			return {
				proofs: proofs.map(({ verdicts: _, ...proof }) => proof),
				cellNames: cellNames(picture),
				instruments: await instrumentChoices()
			};
		})()
	);

export const limitsPage = (bankId: number) =>
	pageOf(bankId, 'limits', (async () => ({ limits: limitsState(await loadBankPicture(bankId)) }))());

export const servePage = (bankId: number, battery: number) =>
	pageOf(
		bankId,
		'serve',
		(async () => {
			// Judged before it is shown: checks that were judged are only read.
			await bankVerdicts(bankId, 'serve');
			const all = await serveFacts(await loadBankPicture(bankId));
			return {
				serve: all.find((b) => b.battery.number === battery) ?? all[0] ?? null,
				placements: await placedLabels(bankId, battery),
				instruments: await instrumentChoices()
			};
		})()
	);
