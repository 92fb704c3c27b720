import { BELIEVABLE, CONTRADICT, TOO_GOOD, ODD_SDS, say } from '../verdicts';
import { CHEMISTRY_FIGURES, type Chemistry } from '../../foundation/chemistry';
import { cellSubject, measured, type Verdict } from '../../foundation/verdicts';
import { meanVoltage } from '../witnesses';

/** What was meant lies within these shares of it. */
const MEANT = { least: 0.7, most: 1.15 };
/** A decimal point is lost by these. */
const SLIPS = [10, 100, 1000, 0.1, 0.01, 0.001];
/** Two counters, one sd as a share of their ratio. */
const COUNTERS_SD = Math.SQRT2 * 0.01;

/** A result that may have lost its decimal point. */
export interface SlippedResult {
	capacityAh: number;
	/** What may have been meant, Ah; null where no slip explains it. */
	meantAh: number | null;
}

/** Whether a single result is a slip rather than a capacity; null: it may be one. @param ratedAh null: nothing to compare with */
export function slippedResult(capacityAh: number, ratedAh: number | null): SlippedResult | null {
	if (ratedAh === null || !(capacityAh > 0)) return null;
	const share = capacityAh / ratedAh;
	if (share >= BELIEVABLE.least && share <= BELIEVABLE.most) return null;
	const meant = SLIPS.map((by) => Number((capacityAh * by).toPrecision(6))).find(
		(ah) => ah / ratedAh >= MEANT.least && ah / ratedAh <= MEANT.most
	);
	return { capacityAh, meantAh: meant ?? null };
}

/** Whether results of one cell exclude each other: then none of them is used. @param results Ah with one sd each */
export function contradict(results: readonly { capacityAh: number; sdAh: number }[]): boolean {
	if (results.length < 2) return false;
	const low = results.reduce((a, b) => (b.capacityAh < a.capacityAh ? b : a));
	const high = results.reduce((a, b) => (b.capacityAh > a.capacityAh ? b : a));
	const apart = high.capacityAh - low.capacityAh;
	return apart > CONTRADICT.share * high.capacityAh && apart > CONTRADICT.sds * Math.hypot(low.sdAh, high.sdAh);
}

/** What a typed result looks like before it is stored, as questions; none: nothing is odd about it. */
export function resultQuestions(
	{ capacityAh, energyWh }: { capacityAh: number | null; energyWh: number | null },
	ratedAh: number | null,
	chemistry: Chemistry
): { text: string; meantAh: number | null }[] {
	if (capacityAh === null || !(capacityAh > 0)) return [];
	const slipped = slippedResult(capacityAh, ratedAh);
	const { dischargeLimitV, chargeLimitV } = CHEMISTRY_FIGURES[chemistry];
	const meanV = energyWh === null ? null : energyWh / capacityAh;
	return [
		...(slipped
			? [
					{
						text: slipped.meantAh
							? `${capacityAh} Ah, or ${slipped.meantAh} Ah? The cell is rated ${ratedAh} Ah.`
							: `${capacityAh} Ah from a cell rated ${ratedAh} Ah?`,
						meantAh: slipped.meantAh
					}
				]
			: []),
		...(meanV !== null && (meanV < dischargeLimitV || meanV > chargeLimitV)
			? [
					{
						text: `Wh ÷ Ah is ${meanV.toFixed(2)} V: no ${chemistry} cell discharges at that voltage. One of the two is wrong.`,
						meantAh: null
					}
				]
			: [])
	];
}

/** A run as it was counted. */
export interface CountedRun {
	capacityAh: number;
	sdAh: number;
	energyWh: number | null;
	cRate: number | null;
	/** °C; null or missing: nobody told. */
	temperatureC?: number | null;
}

/**
 * What is odd about a run by itself: its mean voltage is not that of such a discharge, so one of its two counters is wrong; or it is more
 * than a cell of that rating has. Nothing where neither can be told. @param ratedAh null: not known
 */
export function judgeRun(
	cell: { id: number; label: string },
	{ capacityAh, sdAh, energyWh, cRate, temperatureC }: CountedRun,
	ratedAh: number | null,
	chemistry: Chemistry
): Verdict[] {
	const subject = cellSubject(cell);
	const verdicts: Verdict[] = [];
	if (energyWh !== null && energyWh > 0) {
		const expected = meanVoltage(chemistry, { cRate, temperatureC });
		const meanV = energyWh / capacityAh;
		const sdV = Math.hypot(expected.sd, COUNTERS_SD * expected.volts);
		if (Math.abs(meanV - expected.volts) > ODD_SDS * sdV)
			verdicts.push(
				say('run-mean-voltage', 'look', subject, {
					meanV,
					capacityAh,
					energyWh,
					expectedV: measured(expected.volts, sdV)
				})
			);
	}
	const share = ratedAh === null ? 0 : capacityAh / ratedAh - 1;
	if (ratedAh !== null && share > Math.max(TOO_GOOD.share, TOO_GOOD.usual + (TOO_GOOD.sds * sdAh) / capacityAh))
		verdicts.push(
			say('run-too-good', 'look', subject, {
				capacityAh: measured(capacityAh, sdAh),
				ratedAh,
				share,
				limit: TOO_GOOD.share
			})
		);
	return verdicts;
}
