import { OVER_PROMISE, say } from '../verdicts';
import {
	BOTTOM_DOUBT,
	CHEMISTRY_FIGURES,
	socBounds,
	type Chemistry,
	type SocBounds,
	LOST_A_DAY
} from '../../foundation/chemistry';
import { bothOf, type Bounds } from '../../foundation/charge-account';
import { median } from '../../foundation/statistics';
import { WHOLE_BANK, cellSubject, measured, type Subject, type Verdict } from '../../foundation/verdicts';
import { outsideLimits } from './outside-limits';
import {
	likeResistances,
	type Probe,
	MIN_FOR_SPREAD,
	ROBUST_Z_LIMIT,
	findOutliers,
	type OutlierFinding,
	otherChemistryOf,
	QUANTITY_FIGURES
} from '../../foundation/reading';

/** What a first charge that was counted tells no closer than this, share of full, tells nothing (default). */
const TOLD_BY_CHARGE = 0.15;

export interface ArrivedCell {
	id: number;
	label: string;
	restVoltageV: number | null;
	acResistanceMohm: number | null;
	/** One standard deviation of each reading by the meter it was taken with; null where there is none. */
	restVoltageSdV: number | null;
	acResistanceSdMohm: number | null;
	/** While its resistance was read, °C; null or missing: nobody took it. */
	temperatureC?: number | null;
	/** How its resistance was read; null or missing: nobody said. */
	probe?: Probe | null;
	/** It has been tested, charged or put to work since it came. */
	touched?: boolean;
	/** What it read before that; null: nothing was read; missing: it is as it came, and the reading above says so. */
	arrival?: { restVoltageV: number; restVoltageSdV: number } | null;
	/** What it came with by its own first charge, share of full, 95 %; missing: none was counted to its end. */
	workedBack?: Bounds;
	/** Somebody has recorded that its plus is on the other side than printed. */
	plusTurned?: boolean;
}

type WithVoltage = ArrivedCell & { restVoltageV: number; restVoltageSdV: number };

export interface DeliveryContext {
	chemistry: Chemistry;
	/** Seconds of rest before the voltages were read; a delivery has usually rested for days. */
	restS: number;
	/** The same before those they came with; missing: as long. */
	arrivalRestS?: number;
	/** The maker's figure, mΩ; null when not given. */
	ratedResistanceMohm: number | null;
	/** What the delivery was promised with at most, mΩ; null or missing: nothing was. */
	promisedResistanceMohm?: number | null;
	/** Codes of its cells say the chemistry that was named; missing: nobody knows. */
	chemistryKnown?: boolean;
}

export interface DeliveryJudgement {
	verdicts: Verdict[];
	/** Arrival state of charge per cell id, for the cells that have a rest voltage. */
	socByCell: Record<number, SocBounds>;
}

/**
 * The verdicts on a delivery and its cells: what is missing, who stands apart and by which rule, what charge they
 * arrived with. Models: outlier rule of {@link findOutliers}, bounds of `socBounds`. Cells without a reading take no
 * part in that quantity. An empty delivery gives one verdict that says so. @param subject the delivery
 */
export function judgeDelivery(
	cells: readonly ArrivedCell[],
	context: DeliveryContext,
	subject: Subject = WHOLE_BANK
): DeliveryJudgement {
	if (cells.length === 0) return { verdicts: [missingVerdict([], 0, subject)], socByCell: {} };
	const read = cells.filter(hasVoltage);
	// A cell that reads negative stands the wrong way round; its charge is told by the size of the reading.
	const upright = (c: WithVoltage) => ({ ...c, restVoltageV: Math.abs(c.restVoltageV) });
	const withVoltage = read.map(upright);
	const boundsOf = (of: readonly WithVoltage[], restS: number) =>
		Object.fromEntries(of.map((c) => [c.id, socBounds(context.chemistry, c.restVoltageV, c.restVoltageSdV, restS)]));
	const socByCell = boundsOf(withVoltage, context.restS);
	// A cell outside its limits has its own verdict; among the others it would only blur the comparison.
	const { dischargeLimitV, plausibleRestV } = CHEMISTRY_FIGURES[context.chemistry];
	const comparable = cells
		.map((c) => (c.arrival === undefined ? c : { ...c, ...(c.arrival ?? { restVoltageV: null }) }))
		.filter(hasVoltage)
		.map(upright)
		.filter((c) => c.restVoltageV >= dischargeLimitV && c.restVoltageV <= plausibleRestV[1]);
	const cameWith = Object.fromEntries(
		Object.entries(boundsOf(comparable, context.arrivalRestS ?? context.restS)).map(([id, fits]) => [
			id,
			narrowed(fits, comparable.find((c) => c.id === Number(id))!.workedBack)
		])
	);
	const unread = cells.filter((c) => c.restVoltageV === null || c.acResistanceMohm === null);
	const volts = withVoltage.map((c) => c.restVoltageV);
	const other = context.chemistryKnown ? null : otherChemistryOf(context.chemistry, volts);
	const verdicts = [
		...polarityVerdicts(read),
		...(other ? [chemistryDoubted(context.chemistry, other, withVoltage, subject)] : []),
		...(other ? [] : withVoltage).flatMap(
			(c) => outsideLimits(context.chemistry, c.restVoltageV, c.restVoltageSdV, cellSubject(c), c.touched) ?? []
		),
		...nearlyEmptyVerdicts(withVoltage, context, socByCell),
		...voltageVerdicts(comparable, cameWith),
		...resistanceVerdicts(likeResistances(cells, socByCell), context, subject),
		...overPromise(cells, context.promisedResistanceMohm ?? null),
		...(unread.length ? [missingVerdict(unread, cells.length, subject)] : []),
		...chargeVerdict(comparable, cameWith, subject)
	];
	return { verdicts, socByCell };
}

/** Beside a rest voltage on the plateau a charge that was counted to its end tells more. */
function narrowed(fits: SocBounds, workedBack: Bounds | undefined): SocBounds {
	if (!workedBack) return fits;
	const { low, high } = bothOf({ low: fits.lowFraction, high: fits.highFraction }, workedBack);
	return {
		...fits,
		lowFraction: low,
		highFraction: high,
		verdict: fits.verdict === 'wide' && high - low <= TOLD_BY_CHARGE ? 'resolved' : fits.verdict
	};
}

function hasVoltage(c: ArrivedCell): c is WithVoltage {
	return c.restVoltageV !== null && c.restVoltageSdV !== null;
}

const readVolts = (c: WithVoltage) => measured(c.restVoltageV, c.restVoltageSdV);

function missingVerdict(unread: readonly ArrivedCell[], total: number, subject: Subject): Verdict {
	const facts = {
		total,
		unread: unread.length,
		withoutVoltage: unread.filter((c) => c.restVoltageV === null).length,
		withoutResistance: unread.filter((c) => c.acResistanceMohm === null).length
	};
	return say('not-read', 'open', subject, facts, unread.map(cellSubject));
}

/** Which of the two they are nobody knows from volts: nothing is claimed, nothing is charged. */
function chemistryDoubted(named: Chemistry, or: Chemistry, cells: readonly WithVoltage[], subject: Subject): Verdict {
	const facts = { named, or, middleV: median(cells.map((c) => c.restVoltageV))!, cells: cells.length };
	return say('chemistry-doubted', 'stop', subject, facts, cells.map(cellSubject));
}

const polarityVerdicts = (cells: readonly WithVoltage[]): Verdict[] =>
	cells
		.filter((c) => c.restVoltageV < 0)
		.map((c) =>
			say('polarity', c.plusTurned ? 'calm' : 'stop', cellSubject(c), {
				restVoltageV: readVolts(c),
				recorded: c.plusTurned === true
			})
		);

/** Above the limit by this share, and at most so full, it has no reserve against standing (LFP: 3.0 V). */
const NEARLY_EMPTY = 1.2;

/** Healthy cells lose from a third to twice that. */
const LOSSES = { least: LOST_A_DAY / 3, most: 2 * LOST_A_DAY };

/** Arrival triage above the limit (models §16); below it {@link outsideLimits} speaks. */
function nearlyEmptyVerdicts(
	cells: readonly WithVoltage[],
	{ chemistry }: DeliveryContext,
	soc: Record<number, SocBounds>
): Verdict[] {
	const limitV = CHEMISTRY_FIGURES[chemistry].dischargeLimitV;
	return cells.flatMap((c) => {
		const volts = c.restVoltageV;
		if (c.touched || volts < limitV || volts >= limitV * NEARLY_EMPTY) return [];
		const { lowFraction, highFraction } = soc[c.id]!;
		const facts = {
			restVoltageV: readVolts(c),
			chargeLow: Math.max(0, lowFraction - BOTTOM_DOUBT),
			chargeHigh: highFraction + BOTTOM_DOUBT,
			limitV,
			reserveV: limitV * NEARLY_EMPTY
		};
		const days = { daysLeft: facts.chargeLow / LOSSES.most, daysAtMost: facts.chargeHigh / LOSSES.least };
		return [say('nearly-empty', 'open', cellSubject(c), { ...facts, ...days })];
	});
}

/** A spread of nothing makes any difference infinite; written down it is only very large. */
const LARGEST_Z = 1e6;

const apart = ({ robustZ }: OutlierFinding) => ({
	robustZ: robustZ === null ? null : Math.min(robustZ, LARGEST_Z),
	zLimit: ROBUST_Z_LIMIT,
	fewest: MIN_FOR_SPREAD
});

function voltageVerdicts(cells: readonly WithVoltage[], soc: Record<number, SocBounds>): Verdict[] {
	const { floor } = QUANTITY_FIGURES.restVoltage;
	const sdV = median(cells.map((c) => c.restVoltageSdV)) ?? 0;
	return findOutliers(
		cells.map((c) => c.restVoltageV),
		floor,
		sdV
	)
		.filter((f) => f.outlier)
		.map((f) => {
			const cell = cells[f.index]!;
			const { lowFraction, highFraction } = soc[cell.id]!;
			// Once it has been charged no second look compares with the first: its rests afterwards tell.
			return say('voltage-outlier', cell.touched ? 'open' : 'look', cellSubject(cell), {
				...apart(f),
				touched: cell.touched === true,
				restVoltageV: readVolts(cell),
				differenceV: measured(f.differenceFromMedian, Math.SQRT2 * sdV),
				chargeLow: lowFraction,
				chargeHigh: highFraction
			});
		});
}

function resistanceVerdicts(all: readonly ArrivedCell[], context: DeliveryContext, subject: Subject): Verdict[] {
	const cells = all.filter((c): c is ArrivedCell & { acResistanceMohm: number } => c.acResistanceMohm !== null);
	const medianMohm = median(cells.map((c) => c.acResistanceMohm));
	if (medianMohm === null) return [];
	const sd = median(cells.flatMap((c) => c.acResistanceSdMohm ?? [])) ?? 0;
	const ownSd = (index: number) => cells[index]!.acResistanceSdMohm ?? sd;
	const outliers = findOutliers(
		cells.map((c) => c.acResistanceMohm),
		QUANTITY_FIGURES.acResistance.floor,
		sd
	)
		.filter((f) => f.outlier && Math.abs(f.differenceFromMedian) > 1.96 * Math.hypot(ownSd(f.index), sd))
		.map((f) =>
			say('resistance-outlier', 'look', cellSubject(cells[f.index]!), {
				...apart(f),
				resistanceMohm: measured(cells[f.index]!.acResistanceMohm, ownSd(f.index)),
				medianMohm,
				relativeDifference: f.differenceFromMedian / medianMohm
			})
		);
	if (outliers.length || cells.length < 2) return outliers;
	return [
		say('resistance-agrees', 'calm', subject, {
			cells: cells.length,
			medianMohm: measured(medianMohm, sd),
			ratedMohm: context.ratedResistanceMohm,
			zLimit: ROBUST_Z_LIMIT
		})
	];
}

/** Cells with more resistance than they were promised with, four wires, beyond what their meter may err. */
const overPromise = (cells: readonly ArrivedCell[], promisedMohm: number | null): Verdict[] =>
	promisedMohm === null
		? []
		: cells.flatMap((c) => {
				const [mohm, sd] = [c.acResistanceMohm, c.acResistanceSdMohm ?? 0];
				if (mohm === null || c.probe === 'two-wire') return [];
				const isOver = mohm > promisedMohm * (1 + OVER_PROMISE) && mohm - 1.96 * sd > promisedMohm;
				return isOver
					? [
							say('resistance-over-promise', 'look', cellSubject(c), {
								resistanceMohm: measured(mohm, sd),
								promisedMohm
							})
						]
					: [];
			});

function chargeVerdict(cells: readonly WithVoltage[], soc: Record<number, SocBounds>, subject: Subject): Verdict[] {
	const bounds = cells.map((c) => soc[c.id]!);
	const [first] = bounds;
	if (!first) return [];
	const wide = bounds.filter((b) => b.verdict === 'wide').length;
	return [
		say(wide ? 'charge-unknown' : 'charge-known', 'calm', subject, {
			cells: cells.length,
			wide,
			chargeLow: Math.min(...bounds.map((b) => b.lowFraction)),
			chargeHigh: Math.max(...bounds.map((b) => b.highFraction)),
			hysteresisV: first.parts.hysteresisV,
			counted: cells.filter((c) => c.workedBack).length
		})
	];
}
