/** How the modules of a delivery are made: groups in series, and cells side by side in each. */
export interface ModuleMake {
	series: number;
	parallel: number;
}

export const cellsPerModule = ({ series, parallel }: ModuleMake): number => series * parallel;

/** How a delivery says what its modules are; null where it came as single cells. */
export const makeOf = ({
	moduleSeries,
	moduleParallel
}: {
	moduleSeries?: number | null;
	moduleParallel?: number | null;
}): ModuleMake | null => (moduleSeries ? { series: moduleSeries, parallel: moduleParallel ?? 1 } : null);

/** Where a cell sits in its module, all from 1; groups from the module's minus. @param position of the cell on its tray, from 1 */
export function placeInModule(position: number, make: ModuleMake): { module: number; group: number } {
	const size = cellsPerModule(make);
	const at = position - 1;
	return { module: Math.floor(at / size) + 1, group: Math.floor((at % size) / make.parallel) + 1 };
}

/** Places on the tray of the cells of a module, from 1. @param module from 1 */
export const positionsOfModule = (module: number, make: ModuleMake): number[] =>
	Array.from({ length: cellsPerModule(make) }, (_, i) => (module - 1) * cellsPerModule(make) + i + 1);

/** Labels of the cells of one module, in the order of its groups: S2-01, S2-02 … */
export function moduleCellLabels(prefix: string, module: number, make: ModuleMake): string[] {
	const size = cellsPerModule(make);
	const width = Math.max(2, String(size).length);
	return Array.from({ length: size }, (_, i) => `${prefix}${module}-${String(i + 1).padStart(width, '0')}`);
}
