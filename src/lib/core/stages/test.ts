import {
	TESTER_GAIN_SD,
	jointCapacities,
	judgeCapacity,
	judgeTesting,
	toStandardConditions,
	type CapacityJudgement,
	type JointCapacity,
	type RefusedRun,
	type StandardRun,
	type TestersApart
} from '../capacity-run';
import { CHEMISTRY_FIGURES } from '../chemistry';
import {
	OTHER_END_V,
	USUAL_CONDITIONS,
	bindingClause,
	clauseStrip,
	type Clause,
	type ClauseKind,
	type Tick
} from '../clauses';
import { judgeGrade } from '../grading';
import { CoreError } from '../shared';
import { measured, say, type Subject, type Verdict } from '../verdicts';
import { oncePerPicture } from './once-per-picture';
import type { BankPicture, PictureCell, PictureCellType, PictureDelivery, PictureRun } from './picture';
import { bankSubject, concernedCells, deliverySubject, isInService, readingSd, wantedCells } from './picture-parts';
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
	correction: { fraction: number; temperatureC: number | null; cRate: number | null; standardC: number } | null;
	judgement: CapacityJudgement | null;
}

/** Runs of a cell that are this much older than its latest are of another cell, so to say, ms: a cell ages. */
const SAME_AGE_MS = 365.25 * 86400e3;

/** The clause a bank's cells are measured by: of the kind that all its deliveries were promised by, else the least its maker promises. */
function clauseOf({ clauses, deliveries }: BankPicture): Clause | null {
	const kinds = new Set(deliveries.flatMap((d) => d.promisedClause ?? []));
	const [kind] = kinds;
	return (kinds.size === 1 && clauses.find((c) => c.kind === kind)) || bindingClause(clauses);
}

/** Where a discharge of these cells ends, V: by the clause, else at their limit. */
const endOf = (picture: BankPicture): number =>
	clauseOf(picture)?.cutoffV ??
	picture.cellType?.dischargeLimitV ??
	CHEMISTRY_FIGURES[picture.bank.chemistry].dischargeLimitV;

/** Why a run gives a lower bound and no capacity; null when it gives one. */
function onlyAtLeast(run: PictureRun, endV: number): RefusedRun | null {
	const { capacityAh: atLeastAh } = run;
	const has = (code: string) => run.faults?.some((f) => f.code === code) ?? false;
	if (has('starts-not-full') || run.startedFull === false) return { why: 'not-full', atLeastAh };
	const endedHigh = run.source === 'hand' && run.cutoffV !== null && run.cutoffV > endV + OTHER_END_V;
	return has('ends-early') || endedHigh ? { why: 'ended-early', atLeastAh } : null;
}

/** The rate a run was made at: as logged, or from what was written down by hand. */
function cRateOf(
	{ cRate, currentA, powerW, capacityAh, energyWh }: PictureRun,
	type: PictureCellType | null,
	nominalV: number
) {
	const ratedAh = type?.ratedAh ?? null;
	if (cRate !== null || ratedAh === null) return cRate;
	if (currentA) return Math.abs(currentA) / ratedAh;
	return powerW ? powerW / (energyWh ? energyWh / capacityAh : nominalV) / ratedAh : null;
}

interface BroughtToStandard {
	standard: StandardRun[];
	/** Why its latest run gives no capacity, where none does. */
	refused: RefusedRun | null;
	/** The latest that does, and how it was brought to standard. */
	used: PictureRun | null;
	correction: CellCapacity['correction'];
}

/** A cell's runs brought to standard conditions. */
function standardRuns(cell: PictureCell, picture: BankPicture): BroughtToStandard {
	const { bank, cellType } = picture;
	const latest = cell.runs.at(-1);
	const brought: BroughtToStandard = { standard: [], refused: null, used: null, correction: null };
	if (!latest) return brought;
	const { nominalV } = CHEMISTRY_FIGURES[bank.chemistry];
	const endV = endOf(picture);
	const since = Date.parse(latest.testedAt) - SAME_AGE_MS;
	const clause = clauseOf(picture);
	const standard = {
		cRate: clause?.dischargeCRate ?? USUAL_CONDITIONS.dischargeCRate,
		temperatureC: clause?.temperatureC ?? USUAL_CONDITIONS.temperatureC
	};
	for (const run of cell.runs.filter((r) => Date.parse(r.testedAt) >= since)) {
		const atLeast = onlyAtLeast(run, endV);
		if (atLeast) {
			brought.refused = atLeast;
			continue;
		}
		try {
			const measured = { capacityAh: run.capacityAh, sdAh: run.sdAh ?? run.capacityAh * TESTER_GAIN_SD };
			const cRate = cRateOf(run, cellType, nominalV);
			const { correctionFraction, ...to } = toStandardConditions(measured, run.temperatureC, cRate, standard);
			brought.standard.push({ cellId: cell.id, tester: run.tester, ...to });
			brought.used = run;
			brought.correction = {
				...{ fraction: correctionFraction, temperatureC: run.temperatureC, cRate },
				standardC: standard.temperatureC
			};
		} catch (error) {
			if (!(error instanceof CoreError)) throw error;
			brought.refused = { why: 'conditions', reason: error.message };
		}
	}
	return brought.standard.length ? { ...brought, refused: null } : brought;
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
	const clause = clauses.find((c) => c.kind === delivery?.promisedClause) ?? bindingClause(clauses);
	if (clause) return { capacityAh: clause.capacityAh, clause: clause.kind };
	return cellType && { capacityAh: cellType.ratedAh, clause: null };
}

function capacityOf(
	cell: PictureCell,
	wanted: Promised | null,
	joint: JointCapacity | null,
	{ refused, used, correction }: BroughtToStandard
): CellCapacity {
	// The figure and its date are of one run: a later one that gave none is told as refused.
	const run = used ?? cell.runs.at(-1) ?? null;
	if (!joint) return { cell, run, capacityAh: null, sdAh: null, refused, correction: null, judgement: null };
	const { capacityAh, sdAh, testersApartAh } = joint;
	const judgement = wanted
		? judgeCapacity(cell, capacityAh, sdAh, wanted.capacityAh, testersApartAh, correction, wanted.clause)
		: null;
	return { cell, run, capacityAh, sdAh, refused: null, correction, judgement };
}

/** The capacity each cell in play is believed to have: all its runs of a year, corrected, testers compared. Tray order. */
export const bankCapacities = (picture: BankPicture): CellCapacity[] => bankTesting(picture).capacities;

const bankTesting = oncePerPicture((picture): { capacities: CellCapacity[]; apart: TestersApart | null } => {
	const own = picture.cells.map((cell) => ({ cell, brought: standardRuns(cell, picture) }));
	const { byCell, apart } = jointCapacities(own.flatMap((c) => c.brought.standard));
	const capacities = own.map(({ cell, brought }) =>
		capacityOf(cell, promisedTo(cell, picture), byCell.get(cell.id) ?? null, brought)
	);
	return { capacities, apart };
});

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
	const { capacities, apart } = bankTesting(picture);
	const concerned = new Set(concernedCells(picture).map((c) => c.id));
	const asked = (c: CellCapacity) => c.run !== null || (concerned.has(c.cell.id) && !isInService(picture));
	const tested = capacities.filter(asked).map((c) => ({
		...{ id: c.cell.id, label: c.cell.label, judgement: c.judgement, refused: c.refused },
		temperatureC: c.correction?.temperatureC ?? null,
		tested: c.capacityAh !== null
	}));
	const own = capacities.filter((c) => concerned.has(c.cell.id));
	const grades = picture.deliveries.flatMap((d) => gradeVerdicts(picture, d, own));
	return {
		verdicts: [
			...setAside(judgeTesting(tested, bankSubject(picture)), concerned),
			...grades,
			...(apart ? [testersVerdict(apart, bankSubject(picture))] : [])
		],
		done: own.length >= wantedCells(picture) && own.every((c) => c.capacityAh !== null)
	};
}

const USUAL_CLAUSE: Omit<Clause, 'capacityAh'> = {
	...{ kind: 'nominal', chargeV: null, tailCRate: null, restH: null },
	...{ dischargeCRate: null, cutoffV: null, temperatureC: null }
};

/** What the run a cell's figure is of kept of the clause it is held against. */
export function protocolStrip(picture: BankPicture, { run, refused }: CellCapacity): Tick[] {
	if (!run) return [];
	const { bank, cellType } = picture;
	const has = (code: string) => run.faults?.some((f) => f.code === code) ?? false;
	return clauseStrip(
		clauseOf(picture) ?? { ...USUAL_CLAUSE, capacityAh: cellType?.ratedAh ?? 0 },
		{
			startedFull: has('starts-not-full') ? false : run.startedFull,
			restH: run.restS == null ? null : run.restS / 3600,
			cRate: cRateOf(run, cellType, CHEMISTRY_FIGURES[bank.chemistry].nominalV),
			...{ temperatureC: run.temperatureC, tester: run.tester },
			endedEarly: has('ends-early'),
			tooFar: refused?.why === 'conditions',
			cutoffV: run.cutoffV ?? (run.source === 'hand' ? null : endOf(picture))
		},
		bank.chemistry
	);
}
