import { TESTER_GAIN_SD, say } from './verdicts';
import { judgeRun, judgeTesting } from './capacity';
import { nextRuns, type NextRuns, type StandardRun, type TestersApart, type UndecidedCell } from './testers';
import { CHEMISTRY_FIGURES } from '../foundation/chemistry';
import { judgeGrade } from './grading';
import { cellSubject, measured, type Subject, type Verdict } from '../foundation/verdicts';
import { heldVerdicts, cRateOf, ratedOf, bankTesting, type CellCapacity } from './capacities';
import {
	cellsInModules,
	bankSubject,
	concernedCells,
	deliverySubject,
	isInService,
	ownTypeOf,
	readingSd,
	wantedCells,
	setAside,
	type BankPicture,
	type PictureDelivery,
	type StageJudgement
} from '../picture';

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
						capacityAh: run.capacityAh,
						energyWh: run.energyWh,
						sdAh: run.sdAh ?? TESTER_GAIN_SD * run.capacityAh,
						cRate: cRateOf(run, ownTypeOf(picture, cell), nominalV),
						temperatureC: run.temperatureC
					},
					ratedOf(cell, picture),
					chemistry
				)
	);
}

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
		name: delivery.promisedGrade ?? '',
		leastAh: delivery.gradeCapacityAh,
		mostMohm: delivery.gradeResistanceMohm
	};
	const graded = capacities
		.filter(({ cell }) => cell.deliveryId === delivery.id)
		.map(({ cell: { id, label, readings }, capacityAh, sdAh }) => ({
			id,
			label,
			capacityAh,
			capacitySdAh: sdAh,
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
		id: c.cell.id,
		label: c.cell.label,
		judgement: c.judgement,
		refused: c.refused,
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
