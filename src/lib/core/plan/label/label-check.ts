import { CHEMISTRIES, CHEMISTRY_FIGURES, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requirePositive } from '../../foundation/errors';
import { WHOLE_BANK, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { MAX_SERIES, isClassOf, isSame, labelReadings, type LabelReading, type LabelVolts } from './label-reading';

/** What a label or an advert says of a battery or a cell; missing or null: nothing. */
export interface Label {
	chemistry?: Chemistry | null;
	/** Cells in series. */
	series?: number | null;
	ratedAh?: number | null;
	ratedWh?: number | null;
	nominalV?: number | null;
	/** Of charging, or "full". */
	fullV?: number | null;
	/** A figure that is called amps. */
	claimedA?: number | null;
	/** A figure that is called kilowatts. */
	claimedKw?: number | null;
}

export interface LabelCheck {
	/** Nothing on it contradicts anything else; null where there is nothing to compare. */
	consistent: boolean | null;
	/** Whose voltages it has; null where nothing tells. */
	likelyChemistry: Chemistry | null;
	/** The label’s nominal volts, else Wh ÷ Ah, else its full volts, of one cell; null while it or the cells in series are not known. */
	perCellV: number | null;
	verdicts: Verdict[];
}

function checkLabel(label: Label): void {
	for (const key of ['ratedAh', 'ratedWh', 'nominalV', 'fullV', 'claimedA', 'claimedKw'] as const)
		if (label[key] != null) requirePositive(label[key], key);
	const { series, chemistry } = label;
	if (series != null && !(Number.isInteger(series) && series >= 1 && series <= MAX_SERIES))
		throw new CoreError('layout', 'series', `series requires a whole number from 1 to ${MAX_SERIES}, got ${series}`);
	if (chemistry != null && !CHEMISTRIES.includes(chemistry))
		throw new CoreError(
			'chemistry',
			'chemistry',
			`chemistry requires one of ${CHEMISTRIES.join(', ')}, got ${chemistry}`
		);
}

/**
 * A label's figures against each other and against the chemistries: Wh ÷ Ah against volts, volts ÷ cells in series, a unit sold by
 * the volts of its charger, amperes where ampere-hours are meant.
 * @throws CoreError `not-positive`, `layout`, `chemistry`
 */
export function checkLabelFigures(label: Label): LabelCheck {
	checkLabel(label);
	const { chemistry = null, series = null, ratedAh = null, ratedWh = null, nominalV = null, fullV = null } = label;
	const impliedV = ratedAh !== null && ratedWh !== null ? ratedWh / ratedAh : null;
	const apart = energyVerdict(label, impliedV);
	// Energy that contradicts the volts tells nothing of the cells.
	const volts: LabelVolts = { nominalV, fullV, impliedV: apart ? null : impliedV };
	const own = chemistry === null ? [] : labelReadings(volts, series, chemistry);
	const best = own[0] ?? labelReadings(volts, series, null)[0] ?? null;
	const hasVolts = Object.values(volts).some((v) => v !== null);
	const verdicts = [
		...(apart ? [apart] : []),
		...(hasVolts ? voltsVerdicts(label, volts, best) : []),
		...amperes(label, impliedV),
		...kilowatts(label, impliedV)
	];
	const compared =
		impliedV !== null ||
		[nominalV, fullV].filter((v) => v !== null).length > 1 ||
		(hasVolts && (series ?? chemistry) !== null);
	const contradicts = verdicts.some((v) => v.warmth === 'look' || v.warmth === 'stop');
	const cells = best?.series ?? series;
	const perCellV = perCell(volts, cells);
	if (verdicts.length === 0)
		verdicts.push(
			compared
				? say('label-agrees', 'calm', WHOLE_BANK, { perCellV, series: cells, chemistry: best?.chemistry ?? chemistry })
				: say('label-alone', 'open', WHOLE_BANK, {})
		);
	verdicts.push(...ampereHours(label, best));
	return {
		consistent: contradicts ? false : compared ? true : null,
		likelyChemistry:
			best?.way === 'peak' && otherNominal(volts, best) ? null : (best?.chemistry ?? (hasVolts ? null : chemistry)),
		perCellV,
		verdicts
	};
}

/** What the label’s own volts come to for one cell: nominal, else Wh ÷ Ah, else full. */
function perCell({ nominalV, impliedV, fullV }: LabelVolts, series: number | null): number | null {
	const volts = nominalV ?? impliedV ?? fullV;
	return series === null || volts === null ? null : volts / series;
}

/** Labels write whole watt-hours, and volts to a tenth. */
const ROUNDED = { wh: 0.51, v: 0.051 };

function energyVerdict({ ratedAh, ratedWh, nominalV }: Label, impliedV: number | null): Verdict | null {
	if (impliedV === null || nominalV == null || isSame(nominalV, impliedV) || isClassOf(nominalV, impliedV)) return null;
	if (Math.abs(ratedWh! - ratedAh! * nominalV) <= ROUNDED.wh + ROUNDED.v * ratedAh!) return null;
	const facts = { ratedAh: ratedAh!, ratedWh: ratedWh!, nominalV, impliedV, impliedAh: ratedWh! / nominalV };
	return say('label-energy', 'look', WHOLE_BANK, facts);
}

function voltsVerdicts(label: Label, volts: LabelVolts, best: LabelReading | null): Verdict[] {
	const { chemistry = null, series = null } = label;
	const cells = best?.series ?? series;
	const perCellV = perCell(volts, cells);
	const fullCellV = volts.fullV !== null && cells !== null ? volts.fullV / cells : null;
	if (!best) {
		if (cells !== null)
			return [say('label-volts', 'look', WHOLE_BANK, { chemistry, series: cells, perCellV, fullCellV })];
		const impliedV = volts.impliedV ?? volts.nominalV ?? volts.fullV!;
		return [say('label-undivided', 'look', WHOLE_BANK, { impliedV })];
	}
	if (chemistry !== null && best.chemistry !== chemistry) {
		const facts = { named: chemistry, likely: best.chemistry, series: best.series, perCellV, fullCellV };
		return [say('label-chemistry', 'look', WHOLE_BANK, facts)];
	}
	const calledV = volts.nominalV ?? volts.impliedV;
	const peak = best.way === 'peak' ? best : peakOf(volts, best, chemistry);
	if (!peak || calledV === null) return [];
	const realV = peak.series * CHEMISTRY_FIGURES[peak.chemistry].nominalV;
	const or = otherNominal(volts, peak)?.chemistry ?? null;
	const facts = { nominalV: calledV, series: peak.series, realV, chemistry: peak.chemistry, or };
	return [say('label-peak', best.way === 'peak' && or === null ? 'look' : 'open', WHOLE_BANK, facts)];
}

/** Cells of another chemistry whose nominal volts these are: then nobody knows which of the two it is. */
const otherNominal = (volts: LabelVolts, peak: LabelReading): LabelReading | null =>
	labelReadings(volts, peak.series, null).find((r) => r.way === 'nominal' && r.chemistry !== peak.chemistry) ?? null;

/** The same volts may be the charger's of LFP where nobody named a chemistry: 14.6 V is four cells of either. */
const peakOf = (volts: LabelVolts, best: LabelReading, named: Chemistry | null): LabelReading | null =>
	named === null && best.chemistry !== 'LFP'
		? (labelReadings(volts, best.series, 'LFP').find((r) => r.way === 'peak') ?? null)
		: null;

/** Kilowatts say how fast, kilowatt-hours how much: the same figure for both is the second under the name of the first. */
function kilowatts({ claimedKw, ratedAh, ratedWh, nominalV }: Label, impliedV: number | null): Verdict[] {
	if (claimedKw == null) return [];
	const volts = nominalV ?? impliedV;
	const wh = ratedWh ?? (ratedAh != null && volts != null ? ratedAh * volts : null);
	if (wh === null) return [say('label-kilowatts', 'open', WHOLE_BANK, { claimedKw, kwh: null, hours: null })];
	const facts = { claimedKw, kwh: wh / 1000, hours: wh / 1000 / claimedKw };
	return isSame(claimedKw * 1000, wh) ? [say('label-kilowatts', 'look', WHOLE_BANK, facts)] : [];
}

/** What its energy is in ampere-hours, where the label does not say them; at the volts of its charger they are too few. */
function ampereHours({ ratedAh, ratedWh, nominalV }: Label, best: LabelReading | null): Verdict[] {
	const volts = best?.way === 'peak' ? best.series * CHEMISTRY_FIGURES[best.chemistry].nominalV : nominalV;
	if (ratedAh != null || ratedWh == null || volts == null) return [];
	return [say('label-ampere-hours', 'calm', WHOLE_BANK, { ratedWh, volts, ampereHours: ratedWh / volts })];
}

function amperes({ claimedA, ratedAh, ratedWh, nominalV }: Label, impliedV: number | null): Verdict[] {
	if (claimedA == null) return [];
	const volts = nominalV ?? impliedV;
	if (ratedAh != null)
		// As many amperes as ampere-hours may be the BMS's: a question, no contradiction.
		return isSame(claimedA, ratedAh) ? [say('label-amps', 'open', WHOLE_BANK, { claimedA, ratedAh })] : [];
	const ah = ratedWh != null && volts != null ? ratedWh / volts : null;
	if (ah === null) return [say('label-amps', 'open', WHOLE_BANK, { claimedA, ratedAh: null })];
	return isSame(claimedA, ah) ? [say('label-amps', 'look', WHOLE_BANK, { claimedA, ratedAh: ah })] : [];
}
