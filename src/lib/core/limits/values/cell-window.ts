import { CHEMISTRY_FIGURES } from '../../foundation/chemistry';
import { CoreError } from '../../foundation/errors';
import { or, type LimitsInput } from './limits-input';
import { STRATEGY_FIGURES, type StrategyFigures } from './strategies';

/** Absorb keeps at least this far below the cell trip, and a trip this far from its neighbour, V per cell. */
const CLEARANCE_V = 0.03;
/**
 * The strategy's volts per cell, drawn inside the maker's limits where those are narrower.
 * @throws CoreError `maker-limits` when they leave no window
 */
export function cellWindow(input: LimitsInput): StrategyFigures {
	const table = STRATEGY_FIGURES[input.chemistry][input.strategy];
	const maker = CHEMISTRY_FIGURES[input.chemistry];
	const cellHighV = Math.min(table.cellHighV, or(input.cell.chargeLimitV, maker.chargeLimitV));
	const cellLowV = Math.max(table.cellLowV, or(input.cell.dischargeLimitV, maker.dischargeLimitV));
	const absorbV = Math.min(table.absorbV, cellHighV - CLEARANCE_V);
	const loadCutoffV = Math.max(table.loadCutoffV, cellLowV + 2 * CLEARANCE_V);
	const floatV = Math.min(table.floatV, absorbV - CLEARANCE_V);
	const figures = {
		...table,
		cellHighV,
		cellLowV,
		absorbV,
		loadCutoffV,
		loadReconnectV: Math.max(table.loadReconnectV, loadCutoffV + 2 * CLEARANCE_V),
		floatV,
		cellHighReleaseV: Math.min(table.cellHighReleaseV, cellHighV - 2 * CLEARANCE_V),
		cellLowReleaseV: Math.max(table.cellLowReleaseV, cellLowV + 2 * CLEARANCE_V),
		balanceStartV: Math.min(table.balanceStartV, absorbV - CLEARANCE_V),
		rebulkV: Math.min(table.rebulkV, floatV - CLEARANCE_V / 2)
	};
	if (!(figures.loadCutoffV < figures.rebulkV))
		throw new CoreError(
			'maker-limits',
			'cell.chargeLimitV',
			`cell.chargeLimitV and cell.dischargeLimitV leave no window for ${input.chemistry}: load cut-off ${figures.loadCutoffV.toFixed(2)} V would meet re-bulk ${figures.rebulkV.toFixed(2)} V`
		);
	return figures;
}
