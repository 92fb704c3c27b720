import { LOADED_OHM_AH } from '../../foundation/chemistry';
import { requireNotNegative } from '../../foundation/errors';
import type { LimitValue } from './limit-value';
import { round, type LimitsInput } from './limits-input';
import type { StrategyFigures } from './strategies';

/** A start takes this long when nobody timed it, s (default): a compressor, a saw, an inverter filling its capacitors. */
const USUAL_INRUSH_S = 3;
/** The cut-off waits for twice a start, within these, s. */
const DELAY = { times: 2, least: 6, most: 30 };
/** A draw nobody told, C (default). */
const USUAL_C_RATE = 0.5;
/** An old battery in the cold has this times the resistance of a new one at 25 °C (default). */
const WEAK = 3;
/** A sag is kept this far above the cut-off, V a cell. */
const MARGIN_V = 0.05;
/** Loads come back after the voltage was held for so long, s. */
export const RECONNECT_HELD_S = 600;
/** A rest voltage is no higher than this below full: above it only a charge brings a cell, V (LFP plateau). */
const HIGHEST_RECONNECT: Record<LimitsInput['chemistry'], number> = { LFP: 3.33, LTO: 2.4, NMC: 3.8 };

interface LoadCutoff {
	delayS: number;
	/** V a cell. */
	reconnectV: number;
	/** What a start, and the running load, pull a weak cell down by, V. */
	startSagV: number;
	runningSagV: number;
	/** No rest voltage is high enough: only a charge may bring the loads back. */
	onChargeOnly: boolean;
}

/**
 * How long the cut-off of the loads waits, and where they come back: a start must not trip it, and the load that comes back must not pull a
 * weak battery (old, cold: three times the resistance) below it again.
 * @param cutoffV where the loads are cut off, @param tableV where the strategy has them back, V a cell
 * @throws CoreError `negative`
 */
function loadCutoff({ cell, chemistry, parallel, load }: LimitsInput, cutoffV: number, tableV: number): LoadCutoff {
	const groupAh = cell.ratedAh * parallel;
	const weakOhm = (WEAK * LOADED_OHM_AH) / groupAh;
	const runningA =
		load?.continuousA == null ? USUAL_C_RATE * groupAh : requireNotNegative(load.continuousA, 'load.continuousA');
	const inrushA = load?.inrushA == null ? runningA : requireNotNegative(load.inrushA, 'load.inrushA');
	const inrushS = load?.inrushS == null ? USUAL_INRUSH_S : requireNotNegative(load.inrushS, 'load.inrushS');
	const delayS = Math.min(DELAY.most, Math.max(DELAY.least, Math.ceil(DELAY.times * inrushS)));
	const runningSagV = runningA * weakOhm;
	const wantedV = Math.max(tableV, cutoffV + runningSagV + MARGIN_V);
	const highestV = Math.max(tableV, HIGHEST_RECONNECT[chemistry]);
	return {
		delayS,
		runningSagV,
		startSagV: Math.max(inrushA, runningA) * weakOhm,
		reconnectV: Math.min(wantedV, highestV),
		onChargeOnly: wantedV > highestV
	};
}

/** The load's cut-off as it is set. @param f volts a cell of the strategy @throws CoreError `negative` */
export function loadLimit(input: LimitsInput, f: StrategyFigures): LimitValue {
	const load = loadCutoff(input, f.loadCutoffV, f.loadReconnectV);
	return {
		device: 'load',
		key: 'loadCutoffV',
		label: 'Load cut-off',
		unit: 'V',
		value: round(input.series * f.loadCutoffV, 2),
		release: round(input.series * load.reconnectV, 2),
		delayS: load.delayS,
		releaseHeldS: RECONNECT_HELD_S,
		reason: loadReason(f.loadCutoffV, load)
	};
}

function loadReason(cutoffV: number, { delayS, reconnectV, startSagV, runningSagV, onChargeOnly }: LoadCutoff): string {
	const back = onChargeOnly
		? 'Only a charge may bring them back where the device can be set so'
		: `Loads come back at ${reconnectV.toFixed(2)} V a cell, held for ${RECONNECT_HELD_S / 60} minutes`;
	return `${cutoffV.toFixed(2)} V a cell: the inverter stops before the BMS must. A start pulls an old or cold battery down by up to ${startSagV.toFixed(2)} V a cell: ${delayS} s outlast it. ${back}: what runs then pulls it down by up to ${runningSagV.toFixed(2)} V again. After two cut-offs a day leave the loads off until it has been charged.`;
}
