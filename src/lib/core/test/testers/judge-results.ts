import { CHEMISTRY_FIGURES, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requireNotNegative } from '../../foundation/errors';
import { REPEATS_SD, judgeCapacity, toStandardConditions, twoWireShare } from '../capacity';
import { TESTER_GAIN_SD } from '../verdicts';
import { jointCapacities } from './joint-capacity';
import type { StandardRun } from './solve-testers';

/** One result of a cell. */
export interface CellResult {
	tester: string;
	capacityAh: number;
	/** Without its tester's gain; 0.3 % when missing. */
	sdAh?: number | null;
	/** Missing: nobody wrote it down, and its doubt is added. */
	temperatureC?: number | null;
	/** Missing: at the standard rate. */
	cRate?: number | null;
	/** Of both leads of a two-wire tester, Ω: it stopped early by what they drop. Missing: four wires. */
	leadOhm?: number | null;
}

/**
 * What all results of one cell say of it against its rating: each brought to 25 °C and the standard rate, testers with their unknown
 * gains, and what two-wire leads made it miss. Results that cannot be corrected are left out.
 * @throws CoreError `too-few` for none, `correction-too-large` where none can be corrected, `not-positive`, `negative`
 */
export function judgeResults(
	ratedAh: number,
	results: readonly CellResult[],
	standardCRate = 0.2,
	chemistry: Chemistry = 'LFP'
): { capacityAh: number; sdAh: number; probabilityShort: number; outcome: 'short' | 'meets' | 'unsure' } {
	if (results.length === 0) throw new CoreError('too-few', 'results', 'results requires one result or more, got none');
	let refused: CoreError | null = null;
	const standard = results.flatMap((r, i): StandardRun[] => {
		const ownSd = requireNotNegative(r.sdAh ?? REPEATS_SD * r.capacityAh, `results.${i}.sdAh`);
		const missedShare = r.leadOhm
			? twoWireShare(
					chemistry,
					r.cRate ?? standardCRate,
					(r.cRate ?? standardCRate) * ratedAh * r.leadOhm,
					CHEMISTRY_FIGURES[chemistry].dischargeLimitV
				)
			: 0;
		const measured = {
			capacityAh: r.capacityAh,
			sdAh: Math.hypot(ownSd, TESTER_GAIN_SD * r.capacityAh),
			missedShare
		};
		try {
			const conditions = { cRate: standardCRate };
			const {
				correctionFraction: _,
				steps: __,
				...to
			} = toStandardConditions(measured, r.temperatureC ?? null, r.cRate ?? null, conditions);
			return [{ cellId: 0, tester: r.tester, ...to }];
		} catch (error) {
			if (!(error instanceof CoreError) || error.code !== 'correction-too-large') throw error;
			refused ??= new CoreError(error.code, `results.${i}.${error.path}`, error.message);
			return [];
		}
	});
	if (standard.length === 0) throw refused!;
	const joint = jointCapacities(standard).byCell.get(0)!;
	const { capacityAh, sdAh, probabilityShort, outcome } = judgeCapacity(
		{ id: 0, label: '' },
		joint.capacityAh,
		joint.sdAh,
		ratedAh,
		joint.testersApartAh
	);
	return { capacityAh, sdAh, probabilityShort, outcome };
}
