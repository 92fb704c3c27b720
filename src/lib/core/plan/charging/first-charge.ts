import { planTopBalance } from '../../foundation/parallel-charge';
import { CHEMISTRY_FIGURES, TOP_BALANCE_V, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requirePositive } from '../../foundation/errors';
import { byTheCalendarS } from '../../foundation/time';

/** Something that could charge the cells in parallel. */
export interface SupplyChoice {
	name: string;
	a: number;
	/** What a meter at the cells showed when it was set to that, A; null or missing: nobody looked. */
	deliversA?: number | null;
	/** The lowest and highest it can be set to, V. */
	lowestV: number;
	highestV: number;
	/** Both its leads with their clamps, Ω. */
	leadOhm: number;
}

/** What really flows from a supply, A: what a meter showed, else what it is set to. */
const deliveredA = ({ a, deliversA = null }: Pick<SupplyChoice, 'a' | 'deliversA'>): number => deliversA ?? a;

/** A supply that can be set as low as one cell of this chemistry and as high as its charge needs, and that gives anything. */
const chargesOneCell = (chemistry: Chemistry, supply: SupplyChoice): boolean => {
	const limitV = CHEMISTRY_FIGURES[chemistry].chargeLimitV;
	return deliveredA(supply) > 0 && supply.lowestV <= limitV && supply.highestV >= limitV - 0.1;
};

/** Those of the supplies that charge one cell, by what they deliver: the strongest first. */
export const suppliesForOneCell = (chemistry: Chemistry, supplies: readonly SupplyChoice[]): SupplyChoice[] =>
	supplies
		.filter((s) => chargesOneCell(chemistry, s))
		.map((s) => ({ ...s, a: deliveredA(s) }))
		.sort((a, b) => b.a - a.a);

export interface FirstChargeInput {
	chemistry: Chemistry;
	cells: number;
	ratedAh: number;
	/** Of the cells as they arrive, fraction (default 0.3). */
	arrivalSoc?: number;
	supplies: readonly SupplyChoice[];
	/** What the batteries could be charged with in series beforehand, A; null: nothing. */
	seriesA?: number | null;
	/** Cells in series then. */
	series?: number;
	/** The supplies are on only so many hours a day; null or missing: day and night. */
	hoursADay?: number | null;
	/** Cells that the bars in hand join at once; null: all. */
	barsForCells?: number | null;
}

export interface FirstCharge {
	/** Cannot be set low enough for one cell, or gives nothing: named, not counted. */
	unfit: string[];
	/** By the best single supply. */
	supply: string | null;
	days: number | null;
	/** What the supply of one cell is set to, V. */
	setV: number;
	/** Days saved by each, against that; null where there is no such thing. */
	saves: { secondSupply: number | null; seriesFirst: number | null; borrowedBars: number | null };
	/** Days of the leads: what thick short ones would save. */
	leadsCostDays: number | null;
}

const USUAL_ARRIVAL = 0.3;
/** A series charge brings the fullest cell to its limit; the rest is left for the parallel row (default). */
const LEFT_AFTER_SERIES = 0.1;
const GOOD_LEAD_OHM = 0.002;
const DAY_S = 86_400;

/**
 * Days that the parallel top balance of these cells takes, and what a second supply, a series charge first or bars for all of them at
 * once would save. @throws CoreError `not-positive`, `layout`
 */
export function firstCharge(input: FirstChargeInput): FirstCharge {
	const { chemistry, cells, ratedAh, arrivalSoc = USUAL_ARRIVAL, supplies, seriesA = null, series = 1 } = input;
	const { hoursADay = null } = input;
	if (!Number.isInteger(cells) || cells < 1)
		throw new CoreError('layout', 'cells', `cells requires a whole number from 1, got ${cells}`);
	requirePositive(ratedAh, 'ratedAh');
	const limitV = CHEMISTRY_FIGURES[chemistry].chargeLimitV;
	const unfit = supplies.filter((s) => !chargesOneCell(chemistry, s)).map((s) => s.name);
	const daysWith = (a: number, leadOhm: number, n: number, soc: number): { days: number; setV: number } | null => {
		try {
			const row = Array.from({ length: n }, (_, id) => ({
				id,
				label: '',
				capacityAh: ratedAh,
				socLow: soc,
				socHigh: soc,
				restVoltageV: null,
				resistanceMohm: null
			}));
			const { chargeCRate } = CHEMISTRY_FIGURES[chemistry];
			const plan = planTopBalance(row, { chemistry, chargeLimitV: limitV, chargeCRate, supplyA: a, leadOhm });
			return { days: byTheCalendarS(plan.durationS.high, hoursADay) / DAY_S, setV: plan.setV };
		} catch (error) {
			// Leads that let nothing through, a supply that would take months.
			if (error instanceof CoreError) return null;
			throw error;
		}
	};
	const usable = suppliesForOneCell(chemistry, supplies);
	const best = usable[0];
	if (!best)
		return {
			unfit,
			supply: null,
			days: null,
			setV: TOP_BALANCE_V[chemistry],
			saves: NOTHING_SAVED,
			leadsCostDays: null
		};
	const lots = Math.ceil(cells / (input.barsForCells || cells));
	const inLots = (a: number, leadOhm: number, soc: number) => {
		const each = daysWith(a, leadOhm, Math.ceil(cells / lots), soc);
		return each && { ...each, days: each.days * lots };
	};
	const own = inLots(best.a, best.leadOhm, arrivalSoc);
	if (!own)
		return {
			unfit,
			supply: best.name,
			days: null,
			setV: TOP_BALANCE_V[chemistry],
			saves: NOTHING_SAVED,
			leadsCostDays: null
		};
	const against = (other: { days: number } | null, more = 0) => other && own.days - other.days - more;
	const second = usable[1] ?? best;
	const seriesDays = seriesA ? ((1 - LEFT_AFTER_SERIES - arrivalSoc) * ratedAh * (cells / series)) / seriesA / 24 : 0;
	return {
		unfit,
		supply: best.name,
		days: own.days,
		setV: own.setV,
		saves: {
			secondSupply: against(inLots(best.a + second.a, (best.leadOhm * best.a) / (best.a + second.a), arrivalSoc)),
			seriesFirst: seriesA
				? against(inLots(best.a, best.leadOhm, Math.max(arrivalSoc, 1 - LEFT_AFTER_SERIES)), seriesDays)
				: null,
			borrowedBars: lots > 1 ? against(daysWith(best.a, best.leadOhm, cells, arrivalSoc)) : null
		},
		leadsCostDays: against(inLots(best.a, Math.min(best.leadOhm, GOOD_LEAD_OHM), arrivalSoc))
	};
}

const NOTHING_SAVED: FirstCharge['saves'] = { secondSupply: null, seriesFirst: null, borrowedBars: null };
