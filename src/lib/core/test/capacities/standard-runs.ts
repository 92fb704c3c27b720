import { REPEATS_SD, toStandardConditions, twoWireShare, type CorrectionStep, type RefusedRun } from '../capacity';
import { TESTER_GAIN_SD } from '../verdicts';
import type { StandardRun } from '../testers';
import { CHEMISTRY_FIGURES, type Chemistry } from '../../foundation/chemistry';
import { OTHER_END_V, USUAL_CONDITIONS, bindingClause } from '../clauses';
import {
	ownTypeOf,
	type Clause,
	type BankPicture,
	type PictureCell,
	type PictureCellType,
	type PictureRun
} from '../../picture';
import { correctedBy, type StoredCalibration } from '../../foundation/reading';
import { CoreError } from '../../foundation/errors';

/** Runs of a cell that are this much older than its latest are of another cell, so to say, ms: a cell ages. */
const SAME_AGE_MS = 365.25 * 86400e3;

/** The clause a bank's cells are measured by: of the kind that all its deliveries were promised by, else the least its maker promises. */
export function clauseOf({ clauses, deliveries }: BankPicture): Clause | null {
	const kinds = new Set(deliveries.flatMap((d) => d.promisedClause ?? []));
	const [kind] = kinds;
	return (kinds.size === 1 && clauses.find((c) => c.kind === kind)) || bindingClause(clauses);
}

/** Where a discharge of these cells ends, V: by the clause, else at their limit. */
export const endOf = (picture: BankPicture): number =>
	clauseOf(picture)?.cutoffV ??
	picture.cellType?.dischargeLimitV ??
	CHEMISTRY_FIGURES[picture.bank.chemistry].dischargeLimitV;

/** Why a run gives a lower bound and no capacity; null when it gives one. */
function onlyAtLeast(run: PictureRun, endV: number): RefusedRun | null {
	const { capacityAh: atLeastAh } = run;
	const has = (code: string) => run.faults?.some((f) => f.code === code) ?? false;
	if (has('starts-not-full') || run.startedFull === false) return { why: 'not-full', atLeastAh };
	const endedHigh = run.source === 'hand' && run.cutoffV !== null && run.cutoffV > endV + OTHER_END_V;
	return has('ends-early') || has('gap-not-counted') || endedHigh ? { why: 'ended-early', atLeastAh } : null;
}

/** The rate a run was made at: as logged, or from what was written down by hand. */
export function cRateOf(
	{ cRate, currentA, powerW, capacityAh, energyWh }: PictureRun,
	type: PictureCellType | null,
	nominalV: number
) {
	const ratedAh = type?.ratedAh ?? null;
	if (cRate !== null || ratedAh === null) return cRate;
	if (currentA) return Math.abs(currentA) / ratedAh;
	return powerW ? powerW / (energyWh ? energyWh / capacityAh : nominalV) / ratedAh : null;
}

/** What the leads of a two-wire tester made it miss, as a fraction; 0 where nobody said that it had two. */
function missedByLeads(
	{ leadOhm, currentA, cutoffV }: PictureRun,
	cRate: number | null,
	type: PictureCellType | null,
	chemistry: Chemistry,
	endV: number
): number {
	const amps = currentA ?? (cRate !== null && type ? cRate * type.ratedAh : null);
	if (!leadOhm || amps === null || cRate === null) return 0;
	return twoWireShare(chemistry, cRate, Math.abs(amps) * leadOhm, cutoffV ?? endV);
}

/** What a run counted, with its doubt; by its tester's calibration where there is one. */
function countedBy(
	{ capacityAh: shownAh, sdAh: shownSdAh, tester, testedAt, shownTooMuch }: PictureRun,
	calibrations: readonly StoredCalibration[]
): { capacityAh: number; sdAh: number } {
	// A comparison in Ah was made with what the instrument shows; without one, what the instrument is set to be off by.
	const factor = 1 + (shownTooMuch ?? 0);
	const sdAh = shownSdAh ?? shownAh * TESTER_GAIN_SD;
	const counted = { value: shownAh, meter: tester, at: testedAt };
	const corrected = correctedBy(calibrations, 'capacity', counted, Math.sqrt(3) * TESTER_GAIN_SD * shownAh);
	if (!corrected) return { capacityAh: shownAh / factor, sdAh: sdAh / factor };
	// The gain is known now: what is left of the stated doubt is the run's own.
	const own = Math.sqrt(Math.max(0, sdAh ** 2 - (TESTER_GAIN_SD * shownAh) ** 2));
	return { capacityAh: corrected.value, sdAh: Math.hypot(corrected.sd, Math.max(own, REPEATS_SD * shownAh)) };
}

/** How a run was brought to the conditions of its protocol. */
export interface RunCorrection {
	/** All but the tester's gain, as a fraction. */
	fraction: number;
	temperatureC: number | null;
	cRate: number | null;
	standardC: number;
	/** What it comes to before its tester is compared with others, Ah. */
	standardAh: number;
	steps: CorrectionStep[];
}

export interface BroughtToStandard {
	standard: StandardRun[];
	/** Why its latest run gives no capacity, where none does. */
	refused: RefusedRun | null;
	/** The latest that does, and how it was brought to standard. */
	used: PictureRun | null;
	correction: RunCorrection | null;
	/** All its runs were made under conditions gentler than the protocol's, or all under harsher ones; null: neither, or not known. */
	side: 'gentler' | 'harsher' | null;
}

/** Warmer than this a cell no longer gives more, °C (default). */
const GENTLE_UP_TO_C = 35;

/** Whether a run was made under conditions that are gentler than the protocol's in nothing less, or harsher; null: mixed or not known. */
function sideOf(
	{ temperatureC, cutoffV, leadOhm }: PictureRun,
	cRate: number | null,
	standard: { cRate: number; temperatureC: number },
	endV: number
): BroughtToStandard['side'] {
	if (temperatureC === null || cRate === null) return null;
	const endedV = cutoffV ?? endV;
	const gentler =
		cRate <= standard.cRate * 1.001 &&
		temperatureC >= standard.temperatureC &&
		temperatureC <= GENTLE_UP_TO_C &&
		endedV <= endV + 0.005 &&
		!leadOhm;
	const harsher = cRate >= standard.cRate * 0.999 && temperatureC <= standard.temperatureC && endedV >= endV - 0.005;
	return gentler && !harsher ? 'gentler' : harsher && !gentler ? 'harsher' : null;
}

/** What a run counted, what its leads made it miss, and its rate. */
function measuredBy(run: PictureRun, type: PictureCellType | null, picture: BankPicture) {
	const { chemistry } = picture.bank;
	const cRate = cRateOf(run, type, CHEMISTRY_FIGURES[chemistry].nominalV);
	const counted = run.correctionsOff?.includes('tester')
		? countedBy({ ...run, shownTooMuch: null }, [])
		: countedBy(run, picture.testerCalibrations);
	return { ...counted, missedShare: missedByLeads(run, cRate, type, chemistry, endOf(picture)), cRate };
}

/** Runs of a cell that went from full to the end, as they were measured. */
export const wholeRuns = (cell: PictureCell, runs: readonly PictureRun[], picture: BankPicture) =>
	runs
		.filter((run) => onlyAtLeast(run, endOf(picture)) === null)
		.map((run) => ({ run, ...measuredBy(run, ownTypeOf(picture, cell), picture) }));

/** A cell's runs brought to standard conditions. */
export function standardRuns(cell: PictureCell, picture: BankPicture): BroughtToStandard {
	const cellType = ownTypeOf(picture, cell);
	const latest = cell.runs.at(-1);
	const brought: BroughtToStandard = { standard: [], refused: null, used: null, correction: null, side: null };
	if (!latest) return brought;
	const endV = endOf(picture);
	const since = Date.parse(latest.testedAt) - SAME_AGE_MS;
	const clause = clauseOf(picture);
	const standard = {
		cRate: clause?.dischargeCRate ?? USUAL_CONDITIONS.dischargeCRate,
		temperatureC: clause?.temperatureC ?? USUAL_CONDITIONS.temperatureC
	};
	const sides: BroughtToStandard['side'][] = [];
	for (const run of cell.runs.filter((r) => Date.parse(r.testedAt) >= since)) {
		const atLeast = onlyAtLeast(run, endV);
		if (atLeast) {
			brought.refused = atLeast;
			continue;
		}
		try {
			const off = run.correctionsOff ?? [];
			const { cRate, ...measured } = measuredBy(run, cellType, picture);
			const { correctionFraction, steps, ...to } = toStandardConditions(
				measured,
				run.temperatureC,
				cRate,
				standard,
				off
			);
			// A tester whose gain is not to be taken out is one of its own: nothing is learnt of it, and its doubt stays.
			const tester = off.includes('tester') ? `${run.tester ?? ''} (run ${run.id})` : run.tester;
			brought.standard.push({ cellId: cell.id, tester, ...to });
			brought.used = run;
			sides.push(sideOf(run, cRate, standard, endV));
			brought.correction = {
				fraction: correctionFraction,
				temperatureC: run.temperatureC,
				cRate,
				standardC: standard.temperatureC,
				steps,
				standardAh: (to.capacityAh * run.capacityAh) / measured.capacityAh
			};
		} catch (error) {
			if (!(error instanceof CoreError)) throw error;
			brought.refused = { why: 'conditions', reason: error.message };
		}
	}
	const side = sides[0] && sides.every((s) => s === sides[0]) ? sides[0] : null;
	return brought.standard.length ? { ...brought, refused: null, side } : brought;
}
