import { median, sum } from 'd3-array';
import type { Chemistry } from '../../foundation/chemistry';
import { CoreError, requirePositive } from '../../foundation/errors';
import { chiSquareQuantile, type Interval } from '../../foundation/statistics';
import { type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { meanVoltage, type DischargeConditions } from './mean-volts';
import { statementOf, type Statement, type Witness } from './witness';

export interface Combined {
	ah: Interval | null;
	wh: Interval | null;
	/** Index of the one that contradicts the others; null where none does, or none can be named. */
	odd: number | null;
	verdict: Verdict;
}

const INTERVAL_SDS = 1.96;
/** A witness further from what all others say than so many sd contradicts them. */
const ODD_SDS = 3;
/** What χ² over its degrees stays below in 95 of 100 cases: beyond it witnesses do not fit each other. */
const fitsBelow = (degrees: number): number => chiSquareQuantile(0.95, degrees) / degrees;
/** More than rated by so much is questioned: models §21. */
const TOO_GOOD = { share: 0.06, usual: 0.04, sds: 2 };

/** What a whole discharge's mean volts are, one sd. */
type MeanVolts = ReturnType<typeof meanVoltage>;

interface Fit {
	logAh: number;
	logVolts: number;
	/** Of log Ah, log volts and both: what the weights leave. */
	varianceAh: number;
	varianceVolts: number;
	covariance: number;
	chiSquare: number;
}

/** Charge and mean volts by weighted least squares on logarithms: Ah sees the one, Wh both, the curve the other. */
function fit(said: readonly Statement[], { volts, sd }: MeanVolts): Fit {
	const prior = { log: Math.log(volts), weight: (volts / sd) ** 2 };
	const weights = said.map((s) => 1 / s.sd ** 2);
	const [aa, vv, av, a, v] = said.reduce(
		(m, s, i) => {
			const w = weights[i]!;
			const seesVolts = s.of === 'wh' ? 1 : 0;
			return [
				m[0]! + w,
				m[1]! + w * seesVolts,
				m[2]! + w * seesVolts,
				m[3]! + w * s.log,
				m[4]! + w * seesVolts * s.log
			];
		},
		[0, prior.weight, 0, 0, prior.weight * prior.log]
	) as [number, number, number, number, number];
	const determinant = aa * vv - av * av;
	const logAh = (vv * a - av * v) / determinant;
	const logVolts = (aa * v - av * a) / determinant;
	const chiSquare =
		sum(said, (s, i) => weights[i]! * (s.log - logAh - (s.of === 'wh' ? logVolts : 0)) ** 2) +
		prior.weight * (logVolts - prior.log) ** 2;
	return {
		logAh,
		logVolts,
		chiSquare,
		varianceAh: vv / determinant,
		varianceVolts: aa / determinant,
		covariance: -av / determinant
	};
}

/** How far a witness is from what the others expect of it, in sd. */
function awayFrom(others: readonly Statement[], one: Statement, curve: MeanVolts): number {
	const f = fit(others, curve);
	const [expected, variance] =
		one.of === 'ah'
			? [f.logAh, f.varianceAh]
			: [f.logAh + f.logVolts, f.varianceAh + f.varianceVolts + 2 * f.covariance];
	return Math.abs(one.log - expected) / Math.sqrt(one.sd ** 2 + variance);
}

/** One discharge of all of it, by the hours it took, 1/h; null where no witness counted them. */
function rateOf(witnesses: readonly Witness[]): number | null {
	const hours = witnesses.flatMap((w) => ('hours' in w && w.hours > 0 ? [w.hours] : []));
	return hours.length ? 1 / median(hours)! : null;
}

/**
 * What all that measured the same charge of one cell say together: by inverse variance on logarithms, Wh and Ah held against each other by
 * the mean volts of the chemistry's discharge. The one that lies more than 3 sd from what the others expect is named and left out; where
 * they contradict each other and none can be named the doubt is widened (Birge) and the verdict says so. More than max(6 %, 4 % + 2 sd)
 * above rated is questioned.
 * @param conditions of the discharge; a rate nobody told is taken from the hours of a witness
 * @throws CoreError `too-few`, and as `statementOf`
 */
export function combineWitnesses(
	chemistry: Chemistry,
	witnesses: readonly Witness[],
	ratedAh: number | null,
	subject: Subject,
	conditions: DischargeConditions = {}
): Combined {
	if (witnesses.length === 0) throw new CoreError('too-few', 'items', 'items requires one witness or more, got none');
	if (ratedAh !== null) requirePositive(ratedAh, 'ratedAh');
	const said = witnesses.map((w, i) => statementOf(w, `items.${i}`));
	const cRate = conditions.cRate ?? rateOf(witnesses);
	const curve = meanVoltage(chemistry, { ...conditions, cRate });
	const all = fit(said, curve);
	// With the curve's mean volts there is one more statement than witnesses, and two figures.
	const degrees = said.length - 1;
	const odd = degrees > 0 ? oddOne(said, curve) : null;
	const used = odd === null ? said : said.filter((_, i) => i !== odd.index);
	const kept = odd === null ? all : fit(used, curve);
	const left = Math.max(1, used.length - 1);
	const spread = kept.chiSquare / left;
	const disagree = odd === null && degrees > 0 && spread > fitsBelow(left);
	const widen = Math.sqrt(disagree ? spread : 1);
	const interval = (log: number, variance: number): Interval => {
		const half = INTERVAL_SDS * widen * Math.sqrt(variance);
		return { low95: Math.exp(log - half), likely: Math.exp(log), high95: Math.exp(log + half) };
	};
	const ah = interval(kept.logAh, kept.varianceAh);
	const wh = interval(kept.logAh + kept.logVolts, kept.varianceAh + kept.varianceVolts + 2 * kept.covariance);
	const sdShare = widen * Math.sqrt(kept.varianceAh);
	const facts = { ah: { ...ah }, wh: { ...wh }, witnesses: said.length, meanV: wh.likely / ah.likely };
	const tooGood =
		ratedAh !== null && ah.likely / ratedAh - 1 > Math.max(TOO_GOOD.share, TOO_GOOD.usual + TOO_GOOD.sds * sdShare);
	const verdict =
		odd !== null
			? say('witness-odd', 'look', subject, { ...facts, index: odd.index, ratio: odd.ratio })
			: disagree
				? say('witnesses-disagree', 'look', subject, facts)
				: tooGood
					? say('witnesses-too-good', 'look', subject, { ...facts, ratedAh, share: ah.likely / ratedAh - 1 })
					: said.length === 1
						? say('witness-alone', 'open', subject, facts)
						: say('witnesses-agree', 'calm', subject, facts);
	return { ah, wh, odd: odd?.index ?? null, verdict };
}

/** The one witness without which the others agree; null where none stands out from the rest. */
function oddOne(said: readonly Statement[], curve: MeanVolts): { index: number; ratio: number } | null {
	if (said.length < 3) return null;
	const away = said.map((one, i) =>
		awayFrom(
			said.filter((_, k) => k !== i),
			one,
			curve
		)
	);
	const index = away.indexOf(Math.max(...away));
	if (away[index]! <= ODD_SDS) return null;
	const others = said.filter((_, k) => k !== index);
	const rest = fit(others, curve);
	// Those that are left must agree with each other: else nobody knows which of them is wrong.
	const degrees = others.length - 1;
	if (rest.chiSquare / degrees > fitsBelow(degrees)) return null;
	// Three of which each could be the odd one name none.
	const second = Math.max(...away.filter((_, i) => i !== index));
	if (second > 0.9 * away[index]! && said.length === 3) return null;
	const one = said[index]!;
	return { index, ratio: Math.exp(one.log - rest.logAh - (one.of === 'wh' ? rest.logVolts : 0)) };
}
