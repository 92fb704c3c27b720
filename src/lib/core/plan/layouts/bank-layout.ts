/** A battery of a bank, as far as its size goes. */
export interface SizedBattery {
	kind: 'built' | 'ready-made';
	joins: 'parallel' | 'series';
	series: number;
	parallel: number;
	/** Of a ready-made one, by its maker; null: not said. */
	ratedAh: number | null;
	ratedWh: number | null;
	nominalV: number | null;
}

/** What a bank holds: cells that are built in here, and ready-made batteries beside them. */
export interface BankLayout {
	/** Batteries built here, and their cells. */
	built: number;
	cells: number;
	readyMade: number;
	/** What the ready-made ones in parallel add, Ah and Wh, as far as their maker's figures are known. */
	besideAh: number;
	besideWh: number;
	/** Ready-made ones whose figures nobody wrote down. */
	unrated: number;
}

/** Ready-made batteries bring no cell that is measured or bought here. */
export function bankLayout(batteries: readonly SizedBattery[]): BankLayout {
	const built = batteries.filter((b) => b.kind === 'built');
	const beside = batteries.filter((b) => b.kind === 'ready-made');
	const inParallel = beside.filter((b) => b.joins === 'parallel');
	const whOf = ({ ratedWh, ratedAh, nominalV }: SizedBattery): number | null =>
		ratedWh ?? (ratedAh !== null && nominalV !== null ? ratedAh * nominalV : null);
	return {
		built: built.length,
		cells: built.reduce((sum, b) => sum + b.series * b.parallel, 0),
		readyMade: beside.length,
		besideAh: inParallel.reduce((sum, b) => sum + (b.ratedAh ?? 0), 0),
		besideWh: beside.reduce((sum, b) => sum + (whOf(b) ?? 0), 0),
		unrated: beside.filter((b) => b.ratedAh === null).length
	};
}

/** How a bank is laid out, in a word: `16S1P × 2 + 1 ready-made`. */
export function layoutText(series: number, parallel: number, built: number, readyMade: number): string {
	const own = built === 0 ? null : `${series}S${parallel}P${built > 1 ? ` × ${built}` : ''}`;
	const beside = readyMade === 0 ? null : `${readyMade} ready-made`;
	return [own, beside].filter(Boolean).join(' + ');
}
