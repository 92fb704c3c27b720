import { CHEMISTRY_FIGURES } from '../../foundation/chemistry';
import { requirePositive } from '../../foundation/errors';
import { cellWindow } from './cell-window';
import { checkInput, or, round, type LimitsInput } from './limits-input';
import type { LimitValue } from './limit-value';
import { RECONNECT_HELD_S, loadLimit } from './load-cutoff';
import type { StrategyFigures } from './strategies';

const COLD_RELEASE_K = 4;
const HOT_RELEASE_K = 5;
/** A fuse carries this times the continuous current (models: main fuse ≥ 1.25 × continuous). */
const FUSE_FACTOR = 1.25;
/** Charge in the cold, C-rate, below so many °C (default; below the maker’s): where charging is allowed there at all. */
const COLD_CEILINGS = [
	{ key: 'coldChargeA', belowC: 5, cRate: 0.1 },
	{ key: 'coolChargeA', belowC: 15, cRate: 0.2 }
] as const;
const TAIL_SHARE = 0.03;
const TRIGGER_V = 0.008;

/**
 * BMS, charger and load values from the cell type, measured cells, wiring and a strategy, each with its reason.
 * Cell values first, pack values as a second line that can really act. Pack values are for the whole battery (S cells).
 * @throws CoreError `layout`, `chemistry`, `strategy`, `not-positive`, `maker-limits`
 */
export function computeLimits(input: LimitsInput): LimitValue[] {
	checkInput(input);
	const figures = cellWindow(input);
	return [
		...voltageLimits(input.series, figures),
		...temperatureLimits(input, figures),
		...currentLimits(input),
		...balanceLimits(input, figures),
		...chargerLimits(input, figures)
	];
}

function voltageLimits(series: number, f: StrategyFigures): LimitValue[] {
	const packHighV = (series * (f.absorbV + f.cellHighV)) / 2;
	const packLowV = (series * (f.cellLowV + f.loadCutoffV)) / 2;
	const base = { device: 'BMS' as const, unit: 'V' as const, releaseHeldS: null };
	return [
		{
			...base,
			key: 'cellHighV',
			label: 'Cell high',
			value: round(f.cellHighV, 3),
			release: round(f.cellHighReleaseV, 3),
			delayS: 2,
			reason:
				'Stops charging when any one group reaches it; the lower of the strategy and the cell maker’s charge limit.'
		},
		{
			...base,
			key: 'cellLowV',
			label: 'Cell low',
			value: round(f.cellLowV, 3),
			release: round(f.cellLowReleaseV, 3),
			delayS: 5,
			releaseHeldS: RECONNECT_HELD_S,
			reason:
				'Last guard of the weakest group; the load’s cut-off must act before it. Release on charge current alone where the BMS can; by voltage only this high, held for 10 minutes, with a lock-out after two trips: a cell cut off under load rebounds by some tenths of a volt within the hour, and loads would pump it down.'
		},
		{
			...base,
			key: 'packHighV',
			label: 'Pack high',
			value: round(packHighV, 3),
			release: round(series * f.cellHighReleaseV, 3),
			delayS: 3,
			reason: `Halfway between absorb (${round(series * f.absorbV, 2)} V) and ${series} cells at their trip (${round(series * f.cellHighV, 2)} V), so that it can really trip.`
		},
		{
			...base,
			key: 'packLowV',
			label: 'Pack low',
			value: round(packLowV, 3),
			release: round(series * f.cellLowReleaseV, 3),
			delayS: 5,
			reason: `Between ${series} cells at cell low (${round(series * f.cellLowV, 2)} V) and the load’s cut-off (${round(series * f.loadCutoffV, 2)} V).`
		}
	];
}

function temperatureLimits(input: LimitsInput, f: StrategyFigures): LimitValue[] {
	const maker = CHEMISTRY_FIGURES[input.chemistry];
	const chargeHot = or(input.cell.chargeHotC, maker.chargeHotC);
	const chargeCold = Math.max(or(input.cell.chargeColdC, maker.chargeColdC), f.coldestChargeC);
	const dischargeHot = or(input.cell.dischargeHotC, maker.dischargeHotC);
	const dischargeCold = or(input.cell.dischargeColdC, maker.dischargeColdC);
	const base = { device: 'BMS' as const, unit: '°C' as const, delayS: 5, releaseHeldS: null };
	return [
		{
			...base,
			key: 'chargeHotC',
			label: 'Charge too hot',
			value: chargeHot,
			release: chargeHot - HOT_RELEASE_K,
			reason: 'The cell maker’s limit, measured on the warmest cell.'
		},
		{
			...base,
			key: 'chargeColdC',
			label: 'Charge too cold',
			value: chargeCold,
			release: chargeCold + COLD_RELEASE_K,
			reason:
				'Charging a frozen cell plates lithium and cannot be undone; not below the maker’s limit. The sensor belongs on the coldest cell, and one that is open or shorted must mean no charge.'
		},
		{
			...base,
			key: 'dischargeHotC',
			label: 'Discharge too hot',
			value: dischargeHot,
			release: dischargeHot - HOT_RELEASE_K,
			reason: 'The cell maker’s limit.'
		},
		{
			...base,
			key: 'dischargeColdC',
			label: 'Discharge too cold',
			value: dischargeCold,
			release: dischargeCold + COLD_RELEASE_K,
			reason: 'Set this separately: with the charge limit copied here, the BMS cuts all loads in frost.'
		}
	];
}

function weakest(candidates: readonly (readonly [string, number | null | undefined])[]): {
	name: string;
	amps: number;
} {
	return candidates
		.filter((c): c is readonly [string, number] => c[1] != null && c[1] > 0)
		.map(([name, amps]) => ({ name, amps }))
		.reduce((a, b) => (b.amps < a.amps ? b : a));
}

function currentLimits(input: LimitsInput): LimitValue[] {
	const maker = CHEMISTRY_FIGURES[input.chemistry];
	const groupAh = input.cell.ratedAh * input.parallel;
	const wiring = [
		['the fuse', input.fuseA == null ? null : input.fuseA / FUSE_FACTOR],
		['the cable', input.cableA]
	] as const;
	const charge = weakest([
		['the cells', or(input.cell.chargeCRate, maker.chargeCRate) * groupAh],
		['the BMS', input.bms?.chargeA ?? input.bms?.continuousA],
		...wiring
	]);
	const discharge = weakest([
		['the cells', or(input.cell.dischargeCRate, maker.dischargeCRate) * groupAh],
		['the BMS', input.bms?.continuousA],
		...wiring
	]);
	const reason = (name: string) => `The weakest of cells, BMS, fuse ÷ ${FUSE_FACTOR} and cable is ${name}.`;
	const base = { device: 'BMS' as const, unit: 'A' as const, release: 0, releaseHeldS: null };
	return [
		{
			...base,
			key: 'overCurrentChargeA',
			label: 'Over-current, charge',
			value: round(charge.amps, 1),
			delayS: 10,
			reason: reason(charge.name)
		},
		{
			...base,
			key: 'overCurrentDischargeA',
			label: 'Over-current, discharge',
			value: round(discharge.amps, 1),
			delayS: 10,
			reason: `${reason(discharge.name)} Short circuit stays at the BMS’s fastest setting.`
		},
		...coldCeilings(input, charge.amps)
	];
}

/** How much may flow into cold cells. LTO takes its full charge in the cold. */
function coldCeilings(input: LimitsInput, mostA: number): LimitValue[] {
	if (input.chemistry === 'LTO') return [];
	const coldestC = Math.max(
		or(input.cell.chargeColdC, CHEMISTRY_FIGURES[input.chemistry].chargeColdC),
		cellWindow(input).coldestChargeC
	);
	const groupAh = input.cell.ratedAh * input.parallel;
	return COLD_CEILINGS.filter(({ belowC }) => belowC > coldestC).map(({ key, belowC, cRate }) => ({
		device: 'charger',
		key,
		label: `Charge below ${belowC} °C, at most`,
		value: round(Math.min(mostA, cRate * groupAh), 1),
		unit: 'A',
		release: null,
		delayS: null,
		releaseHeldS: null,
		reason: `${cRate} C in the cold: lithium plates out on a cold cell long before its voltage shows it. The cell maker’s figure where it is lower.`
	}));
}

function capacity(input: LimitsInput): { ah: number; measured: boolean } {
	return input.measuredGroupAh == null
		? { ah: input.cell.ratedAh * input.parallel, measured: false }
		: { ah: requirePositive(input.measuredGroupAh, 'measuredGroupAh'), measured: true };
}

function balanceLimits(input: LimitsInput, f: StrategyFigures): LimitValue[] {
	const { ah, measured } = capacity(input);
	const resolutionV = input.bms?.resolutionV ?? 0.001;
	const triggerV = Math.max(TRIGGER_V, 2 * resolutionV);
	const base = { device: 'BMS' as const, release: null, delayS: null, releaseHeldS: null };
	return [
		{
			...base,
			key: 'balanceStartV',
			label: 'Balance start',
			unit: 'V',
			value: round(f.balanceStartV, 3),
			reason: 'Above the plateau, where voltage tells charge; while charging only. Lower, it would balance noise.'
		},
		{
			...base,
			key: 'balanceTriggerV',
			label: 'Balance trigger',
			unit: 'V',
			value: round(triggerV, 4),
			reason: `Difference that starts balancing: 5–10 mV, and never under twice the BMS’s resolution (${round(resolutionV * 1000, 1)} mV).`
		},
		{
			...base,
			key: 'capacityAh',
			label: 'Capacity',
			unit: 'Ah',
			value: round(ah, 1),
			reason: measured
				? 'Smallest measured group: the battery gives no more.'
				: 'Printed, not measured: replace it after a capacity test.'
		}
	];
}

function chargerLimits(input: LimitsInput, f: StrategyFigures): LimitValue[] {
	const { ah } = capacity(input);
	const n = input.series;
	const base = { release: null, delayS: null, releaseHeldS: null };
	return [
		{
			...base,
			device: 'charger',
			key: 'absorbV',
			label: 'Absorb',
			unit: 'V',
			value: round(n * f.absorbV, 2),
			reason: `${f.absorbV.toFixed(3)} V a cell, below pack high and cell high. Equalise off, temperature compensation off.`
		},
		{
			...base,
			device: 'charger',
			key: 'floatV',
			label: 'Float',
			unit: 'V',
			value: round(n * f.floatV, 2),
			reason:
				input.strategy === 'long-life'
					? `${f.floatV.toFixed(3)} V a cell, or none at all: resting lower lives longer.`
					: `${f.floatV.toFixed(3)} V a cell: carries loads without holding the cells full.`
		},
		{
			...base,
			device: 'charger',
			key: 'rebulkV',
			label: 'Re-bulk below',
			unit: 'V',
			value: round(n * f.rebulkV, 2),
			reason: `${f.rebulkV.toFixed(3)} V a cell: starts a new charge only after real use.`
		},
		{
			...base,
			device: 'charger',
			key: 'tailA',
			label: 'Tail current',
			unit: 'A',
			value: round(TAIL_SHARE * ah, 1),
			reason: '0.03 C of the capacity: absorb ends here, not by a timer.'
		},
		loadLimit(input, f)
	];
}
