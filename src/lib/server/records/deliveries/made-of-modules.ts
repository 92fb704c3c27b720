import { cellsPerModule, makeOf, type ModuleMake } from '$lib/core/picture';
import { InputError } from '$lib/input/validate';

interface Made {
	moduleSeries?: number | null;
	moduleParallel?: number | null;
}

/** Cells that do not make whole modules. */
export const oddCells = (make: ModuleMake, count: number) =>
	new InputError([
		{
			path: 'moduleSeries',
			message: `${count} cells do not make whole modules of ${cellsPerModule(make)}: correct the number of cells, or how a module is made`
		}
	]);

/** Both figures of a module, or neither. @throws InputError */
export function refuseHalfMade({ moduleSeries = null, moduleParallel = null }: Made): void {
	if ((moduleSeries === null) === (moduleParallel === null)) return;
	throw new InputError([
		{
			path: moduleSeries === null ? 'moduleSeries' : 'moduleParallel',
			message: 'A module is so many groups in series of so many cells side by side: both are needed, or neither.'
		}
	]);
}

/** A new delivery of modules holds whole ones. @throws InputError */
export function refuseOddCells(made: Made, cellCount: number): void {
	refuseHalfMade(made);
	const make = makeOf(made);
	if (make && cellCount % cellsPerModule(make) !== 0) throw oddCells(make, cellCount);
}
