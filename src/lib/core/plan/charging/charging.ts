import { CHEMISTRY_FIGURES, type Chemistry } from '../../foundation/chemistry';
import { requirePositive } from '../../foundation/errors';
import { type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';

/** Something that is to charge the bank. */
export interface ChargerChoice {
	name: string;
	kind: 'mains' | 'solar' | 'converter' | 'bench' | 'alternator';
	a: number;
	/** The highest it charges to, V; null: not known. */
	absorbV: number | null;
	/** It can be set for lithium: no equalising, no temperature compensation. Null: not known. */
	lithium: boolean | null;
	/** Of a solar controller: how far the panels must stand above the battery, and the most it bears, V. */
	startMarginV?: number | null;
	mostPanelV?: number | null;
	/** Of its panels in series: at the working point and open, at 25 °C, V; of a bench supply before it: what it is set to. */
	panelWorkV?: number | null;
	panelOpenV?: number | null;
}

export interface ChargingInput {
	chemistry: Chemistry;
	series: number;
	bankAh: number;
	/** What it is charged to, V a cell. */
	absorbV: number;
	chargers: readonly ChargerChoice[];
	/** Of the coldest morning, and of panels on the hottest day, °C. */
	coldestC: number;
	hottestC: number;
}

export interface ChargerFit {
	name: string;
	/** From 20 to 95 % by it alone. */
	hours: number | null;
	cRate: number;
	/** Volts of its panels open on the coldest morning, and working in the heat; null where there are none. */
	panelColdV: number | null;
	panelHotV: number | null;
}

/** Open panels gain, working ones lose so much per K (default). */
const OPEN_PER_K = 0.003;
const WORK_PER_K = 0.004;
const RATED_C = 25;
/** What a controller wants above the battery before it begins (default), V. */
const USUAL_START_MARGIN_V = 5;
/** The share of a charge that is looked at. */
const CHARGED_SHARE = 0.75;
/** In the cold, below 5 °C (default). */
const COLD_C_RATE = 0.1;

/** What each charger does for the bank: hours, rate, and the volts of its panels. @throws CoreError `not-positive` */
export function chargerFits({ bankAh, chargers, coldestC, hottestC }: ChargingInput): ChargerFit[] {
	requirePositive(bankAh, 'bankAh');
	return chargers.map(({ name, kind, a, panelOpenV = null, panelWorkV = null }) => ({
		name,
		hours: a > 0 ? (CHARGED_SHARE * bankAh) / a : null,
		cRate: a / bankAh,
		// A bench supply before a controller stands for panels, and does not mind the weather.
		panelColdV:
			kind === 'bench' ? panelWorkV : panelOpenV === null ? null : panelOpenV * (1 + OPEN_PER_K * (RATED_C - coldestC)),
		panelHotV:
			kind === 'bench' || panelWorkV === null ? panelWorkV : panelWorkV * (1 - WORK_PER_K * (hottestC - RATED_C))
	}));
}

/**
 * What stands against each charger: its voltage class, panels that are too high in the frost or too low in the heat, a rate the cells
 * do not take in the cold, no setting for lithium, a bench supply through a controller.
 * @param subject the bank
 */
export function chargingVerdicts(input: ChargingInput, subject: Subject): Verdict[] {
	const { chemistry, series, absorbV, chargers } = input;
	const packV = series * absorbV;
	const limitV = series * CHEMISTRY_FIGURES[chemistry].chargeLimitV;
	const fits = chargerFits(input);
	return chargers.flatMap((charger, i): Verdict[] => {
		const { name, kind, lithium, absorbV: toV } = charger;
		const { panelColdV, panelHotV, cRate } = fits[i]!;
		const verdicts: Verdict[] = [];
		if (toV !== null && toV > limitV) verdicts.push(say('charger-too-high', 'stop', subject, { name, toV, limitV }));
		else if (toV !== null && toV < packV) verdicts.push(say('charger-too-low', 'look', subject, { name, toV, packV }));
		if (lithium === false) verdicts.push(say('charger-not-lithium', 'look', subject, { name }));
		const most = charger.mostPanelV ?? null;
		if (panelColdV !== null && most !== null && panelColdV > most)
			verdicts.push(
				say('panels-too-high', 'stop', subject, {
					name,
					panelV: panelColdV,
					mostV: most,
					coldestC: input.coldestC,
					isBench: kind === 'bench'
				})
			);
		const wantedV = packV + (charger.startMarginV ?? USUAL_START_MARGIN_V);
		if (panelHotV !== null && panelHotV < wantedV)
			verdicts.push(
				say('panels-too-low', 'look', subject, {
					name,
					panelV: panelHotV,
					wantedV,
					hottestC: input.hottestC,
					isBench: kind === 'bench'
				})
			);
		if (kind === 'alternator') verdicts.push(say('alternator-direct', 'look', subject, { name }));
		if (chemistry !== 'LTO' && cRate > COLD_C_RATE && input.coldestC < 5)
			verdicts.push(
				say('charge-cold', 'open', subject, { name, cRate, coldCRate: COLD_C_RATE, coldestC: input.coldestC })
			);
		return verdicts;
	});
}

/** Volts in which each battery of two chemistries on one wire carries the load, and what the other does meanwhile. */
export interface BesideLead {
	fromV: number;
	toV: number;
	carries: 'lithium' | 'both' | 'lead';
}

/** Rest voltage of a full lead battery of six cells, and from where it begins to charge, V (default). */
const LEAD = { restV: 12.8, chargesFromV: 13.2, floatV: 13.6 };

/**
 * What happens where a lead battery stays in parallel with four (or 8, 16) LFP cells: above its rest voltage the lithium carries all, the
 * lead stands on float and draws; only below does it help, when the lithium is nearly empty.
 * @param classV 12, 24 or 48
 */
export function besideLead(classV: number): { ranges: BesideLead[]; leadFloatsV: number } {
	const times = classV / 12;
	return {
		ranges: [
			{ fromV: LEAD.chargesFromV * times, toV: 14.6 * times, carries: 'lithium' },
			{ fromV: 12.4 * times, toV: LEAD.chargesFromV * times, carries: 'both' },
			{ fromV: 10.8 * times, toV: 12.4 * times, carries: 'lead' }
		],
		leadFloatsV: LEAD.floatV * times
	};
}
