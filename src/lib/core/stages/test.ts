import {
	TESTER_GAIN_SD,
	contradict,
	evidenceOfEarlierLots,
	judgeRun,
	slippedResult,
	jointCapacities,
	judgeCapacity,
	judgeTesting,
	nextRuns,
	type CapacityBound,
	type CapacityJudgement,
	type JointCapacity,
	type LotEvidence,
	type NextRuns,
	type RefusedRun,
	type StandardRun,
	type TestersApart,
	type UndecidedCell
} from '../test/capacity';
import { CHEMISTRY_FIGURES } from '../foundation/chemistry';
import { bindingClause, type ClauseKind } from '../test/clauses';
import { judgeGrade } from '../test/grading';
import { cellSubject, measured, say, type Subject, type Verdict } from '../foundation/verdicts';
import { heldVerdicts } from './held-runs';
import { cellsInModules } from './modules';
import { oncePerPicture } from './once-per-picture';
import type { BankPicture, PictureCell, PictureDelivery, PictureRun } from './picture';
import {
	bankSubject,
	concernedCells,
	deliverySubject,
	isInService,
	ownTypeOf,
	readingSd,
	wantedCells
} from './picture-parts';
import { cRateOf, standardRuns, type BroughtToStandard, type RunCorrection } from './standard-runs';
import { setAside, type StageJudgement } from './stage-judgement';

export interface CellCapacity {
	cell: PictureCell;
	/** The run its figure is of; its latest where none gave one. */
	run: PictureRun | null;
	/** Capacity brought to standard conditions, Ah, with its doubt; null when not tested or the correction is refused. */
	capacityAh: number | null;
	sdAh: number | null;
	/** Why there is no capacity although there is a run. */
	refused: RefusedRun | null;
	/** How its latest run was brought to standard conditions; null where there is none. */
	correction: RunCorrection | null;
	judgement: CapacityJudgement | null;
}

/** A capacity a cell was sold with. */
export interface Promised {
	capacityAh: number;
	clause: ClauseKind | null;
}

/** What a cell is held against: what its delivery was promised, else the least its maker promises, else its rating. */
export function promisedTo(cell: PictureCell, { deliveries, clauses, cellType }: BankPicture): Promised | null {
	const delivery = deliveries.find((d) => d.id === cell.deliveryId);
	if (delivery?.promisedAh) return { capacityAh: delivery.promisedAh, clause: delivery.promisedClause };
	if (delivery?.ownType) return { capacityAh: delivery.ownType.ratedAh, clause: null };
	const clause = clauses.find((c) => c.kind === delivery?.promisedClause) ?? bindingClause(clauses);
	if (clause) return { capacityAh: clause.capacityAh, clause: clause.kind };
	return cellType && { capacityAh: cellType.ratedAh, clause: null };
}

/** What the runs say before they are corrected: under conditions gentler or harsher than the clause's that bounds it from one side. */
function bound(
	{ capacityAh, sdAh }: JointCapacity,
	side: BroughtToStandard['side'],
	correction: RunCorrection | null,
	sharedSd: number
): CapacityBound | null {
	if (side === null || !correction) return null;
	const asRun = 1 / (1 + correction.fraction);
	const own = Math.sqrt(Math.max(0, (sdAh / capacityAh) ** 2 - sharedSd ** 2));
	return { side, capacityAh: capacityAh * asRun, sdAh: capacityAh * asRun * own };
}

function capacityOf(
	cell: PictureCell,
	wanted: Promised | null,
	joint: JointCapacity | null,
	{ refused, used, correction, side, standard }: BroughtToStandard,
	lots: LotEvidence | null
): CellCapacity {
	const sharedSd = Math.max(0, ...standard.map((r) => r.sharedSd ?? 0));
	// The figure and its date are of one run: a later one that gave none is told as refused.
	const run = used ?? cell.runs.at(-1) ?? null;
	if (!joint) return { cell, run, capacityAh: null, sdAh: null, refused, correction: null, judgement: null };
	const { capacityAh, sdAh, testersApartAh } = joint;
	const judgement = wanted
		? judgeCapacity(
				cell,
				capacityAh,
				sdAh,
				wanted.capacityAh,
				testersApartAh,
				correction,
				wanted.clause,
				bound(joint, side, correction, sharedSd),
				joint.testers === 1 ? lots : null
			)
		: null;
	return { cell, run, capacityAh, sdAh, refused: null, correction, judgement };
}

/** The capacity each cell in play is believed to have: all its runs of a year, corrected, testers compared. Tray order. */
export const bankCapacities = (picture: BankPicture): CellCapacity[] => bankTesting(picture).capacities;

/** A tester nobody has used here: another one that could be borrowed. */
const ANOTHER = 'another tester';
/** Rest and handling between charge and discharge of a run, h (default). */
const BETWEEN_H = 1;

/** What there is to run on; where there was only one, another. */
function testersOf(runs: readonly StandardRun[]): (string | null)[] {
	const used = [...new Set(runs.map((r) => r.tester))];
	return used.length > 1 ? used : [...used, ANOTHER];
}

const undecidedOf = (capacities: readonly CellCapacity[]): UndecidedCell[] =>
	capacities.flatMap(({ cell, judgement, correction }) =>
		judgement?.outcome === 'unsure'
			? [{ cellId: cell.id, wantedAh: judgement.ratedAh, hours: 2 / (correction?.cRate ?? 0.2) + BETWEEN_H }]
			: []
	);

function nextVerdict({ runs, decides, hours }: NextRuns, picture: BankPicture): Verdict {
	const cellOf = (id: number) => picture.cells.find((c) => c.id === id)!;
	const facts = { runs: runs.map((r) => ({ cell: cellOf(r.cellId).label, tester: r.tester })), decides, hours };
	return say(
		'next-run',
		'calm',
		bankSubject(picture),
		facts,
		runs.map((r) => cellSubject(cellOf(r.cellId)))
	);
}

/** Runs that exclude each other, and a single one that can only be a slip, give no capacity: they are named and asked about. */
function onlyBelievable(brought: BroughtToStandard, cell: PictureCell, picture: BankPicture): BroughtToStandard {
	const { standard } = brought;
	const none = (refused: RefusedRun): BroughtToStandard => ({
		...brought,
		standard: [],
		used: null,
		correction: null,
		refused
	});
	if (contradict(standard)) return none({ why: 'contradict', runsAh: standard.map((r) => r.capacityAh) });
	const [only] = standard;
	const slipped = standard.length === 1 ? slippedResult(only!.capacityAh, ratedOf(cell, picture)) : null;
	return slipped ? none({ why: 'slipped', ...slipped, capacityAh: brought.used!.capacityAh }) : brought;
}

/** What a cell is rated: by its delivery, else by its type; null where nobody said. */
const ratedOf = (cell: PictureCell, picture: BankPicture): number | null =>
	ownTypeOf(picture, cell)?.ratedAh ?? promisedTo(cell, picture)?.capacityAh ?? null;

/** What is odd about the run that each cell's figure is of. */
function runVerdicts(picture: BankPicture, capacities: readonly CellCapacity[]): Verdict[] {
	const { chemistry } = picture.bank;
	const { nominalV } = CHEMISTRY_FIGURES[chemistry];
	return capacities.flatMap(({ cell, run, capacityAh }) =>
		run === null || capacityAh === null
			? []
			: judgeRun(
					cell,
					{
						...{ capacityAh: run.capacityAh, energyWh: run.energyWh },
						sdAh: run.sdAh ?? TESTER_GAIN_SD * run.capacityAh,
						cRate: cRateOf(run, ownTypeOf(picture, cell), nominalV),
						temperatureC: run.temperatureC
					},
					ratedOf(cell, picture),
					chemistry
				)
	);
}

/** What earlier lots of this bank's cell type tell of the tester of a lot; null where the lot was run on several, or is of another type. */
function evidenceFor(
	{ id: deliveryId, ownType, used }: PictureDelivery,
	own: readonly { cell: PictureCell; brought: BroughtToStandard }[],
	{ earlierLots = [] }: BankPicture
): LotEvidence | null {
	// Used cells have aged, each in its own way: no lot of new ones tells of them.
	if (earlierLots.length === 0 || ownType || used) return null;
	const runs = own.flatMap(({ cell, brought }) => (cell.deliveryId === deliveryId ? brought.standard : []));
	const [first] = runs;
	if (!first || runs.some((r) => r.tester !== first.tester)) return null;
	return evidenceOfEarlierLots({ tester: first.tester, capacitiesAh: runs.map((r) => r.capacityAh) }, earlierLots);
}

const bankTesting = oncePerPicture(
	(picture): { capacities: CellCapacity[]; apart: TestersApart | null; standard: StandardRun[] } => {
		const own = picture.cells.map((cell) => ({
			cell,
			brought: onlyBelievable(standardRuns(cell, picture), cell, picture)
		}));
		const standard = own.flatMap((c) => c.brought.standard);
		const { byCell, apart } = jointCapacities(standard);
		const evidence = new Map(picture.deliveries.map((d) => [d.id, evidenceFor(d, own, picture)]));
		const capacities = own.map(({ cell, brought }) =>
			capacityOf(
				cell,
				promisedTo(cell, picture),
				byCell.get(cell.id) ?? null,
				brought,
				evidence.get(cell.deliveryId) ?? null
			)
		);
		return { capacities, apart, standard };
	}
);

/** Two usual testers differ by less, as a fraction: √2 of their gains at 95 %. */
const USUALLY_APART = 1.96 * Math.SQRT2 * TESTER_GAIN_SD;

function testersVerdict({ high, low, fraction, sd }: TestersApart, bank: Subject): Verdict {
	const warmth = fraction > USUALLY_APART ? 'look' : 'calm';
	return say('testers-apart', warmth, bank, { high, low, fraction: measured(fraction, sd) });
}

/** The cells of a delivery against the person's own line for the grade they were sold as. */
function gradeVerdicts(
	{ meters }: BankPicture,
	delivery: PictureDelivery,
	capacities: readonly CellCapacity[]
): Verdict[] {
	const line = {
		...{ name: delivery.promisedGrade ?? '', leastAh: delivery.gradeCapacityAh },
		mostMohm: delivery.gradeResistanceMohm
	};
	const graded = capacities
		.filter(({ cell }) => cell.deliveryId === delivery.id)
		.map(({ cell: { id, label, readings }, capacityAh, sdAh }) => ({
			...{ id, label, capacityAh, capacitySdAh: sdAh },
			resistanceMohm: readings.acResistance?.value ?? null,
			resistanceSdMohm: readings.acResistance ? readingSd(readings.acResistance, meters.acResistance) : null,
			temperatureC: readings.temperature?.value ?? null
		}));
	return judgeGrade(graded, line, deliverySubject(delivery));
}

/** The verdicts on what was tested. In service nobody is asked to test the cells. */
export function judgeTestStage(picture: BankPicture): StageJudgement {
	const { capacities, apart, standard } = bankTesting(picture);
	const next = nextRuns(standard, undecidedOf(capacities), testersOf(standard));
	const concerned = new Set(concernedCells(picture).map((c) => c.id));
	const inModules = cellsInModules(picture);
	const asked = (c: CellCapacity) =>
		c.run !== null || (concerned.has(c.cell.id) && !inModules.has(c.cell.id) && !isInService(picture));
	const tested = capacities.filter(asked).map((c) => ({
		...{ id: c.cell.id, label: c.cell.label, judgement: c.judgement, refused: c.refused },
		temperatureC: c.correction?.temperatureC ?? null,
		tested: c.capacityAh !== null,
		ratedAh: ratedOf(c.cell, picture)
	}));
	const own = capacities.filter((c) => concerned.has(c.cell.id));
	const grades = picture.deliveries.flatMap((d) => gradeVerdicts(picture, d, own));
	return {
		verdicts: [
			...setAside([...judgeTesting(tested, bankSubject(picture)), ...runVerdicts(picture, capacities)], concerned),
			...heldVerdicts(picture),
			...grades,
			...(next ? [nextVerdict(next, picture)] : []),
			...(apart ? [testersVerdict(apart, bankSubject(picture))] : [])
		],
		done: own.length >= wantedCells(picture) && own.every((c) => c.capacityAh !== null)
	};
}
