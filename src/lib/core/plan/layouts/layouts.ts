import { CHEMISTRY_FIGURES, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requireNotNegative, requirePositive } from '../../foundation/errors';
import { builtMassKg } from './handling';
import { BMS_SIZES_A, HEADROOM } from './parts';

/** A kind of cell that could be bought, or lies in the stock. */
export interface CellChoice {
	id: number | string;
	name: string;
	chemistry: Chemistry;
	ratedAh: number;
	/** Of one, in the currency of the settings; null: not known. */
	price: number | null;
	/** Cells that are there already, and cost nothing more. */
	inStock: number;
	massKg: number | null;
	widthMm: number | null;
	thicknessMm: number | null;
	chargeCRate: number | null;
	dischargeCRate: number | null;
}

export interface LayoutNeed {
	usableWh: number;
	continuousW: number;
	peakW: number;
	/** What charges it, together, W; 0: not known. */
	chargeW: number;
	/** Share of the capacity the strategy uses. */
	window: number;
	/** Nominal classes that are wanted, V: 12, 24, 48. */
	classesV: readonly number[];
	mostBatteries: number;
	/** Of one BMS; null: not known. */
	bmsPrice: number | null;
}

export interface Layout {
	cell: CellChoice;
	classV: number;
	series: number;
	parallel: number;
	batteries: number;
	cells: number;
	nominalV: number;
	usableWh: number;
	/** At the continuous and at the peak load, of the whole bank. */
	cRate: number;
	peakCRate: number;
	/** Of each battery's BMS: the next usual size above 1.25 × its share. Null: none is made. */
	bmsA: number | null;
	senseChannels: number;
	massKg: number | null;
	footprintM2: number | null;
	/** Null while a price is missing. */
	price: number | null;
	pricePerUsableKwh: number | null;
	/** When one battery is off: usable Wh that are left, and whether the others carry the peak. */
	leftWh: number;
	othersCarry: boolean;
	/** Why it cannot be, in the order of weight; empty: it can. */
	refusals: LayoutRefusal[];
	/** Nothing that can be is both cheaper and larger. */
	isFront: boolean;
}

export type LayoutRefusal = 'too-many-amps' | 'cells-too-weak' | 'too-many-parallel' | 'charge-too-fast';

/** Cells in series of the usual classes. */
const SERIES: Record<Chemistry, Record<number, number>> = {
	LFP: { 12: 4, 24: 8, 48: 16 },
	LTO: { 12: 5, 24: 11, 48: 22 },
	NMC: { 12: 3, 24: 7, 48: 14 }
};
/** More cells side by side under one sense wire hide a failed one (default). */
const MAX_PARALLEL = 8;
/** From the least number of cells on, so many more in parallel are looked at, as long as they are no more than so many times the need. */
const STEPS_UP = 2;
const MAX_OF_NEED = 3;

/**
 * Every layout of the cells chosen that gives the energy wanted, with what it costs, weighs and asks of a BMS; and those that give it
 * but cannot be, with the reason. Cheapest first, those without a price last, those that cannot be at the end.
 * @throws CoreError `not-positive`, `negative`, `out-of-range`
 */
export function compareLayouts(cells: readonly CellChoice[], need: LayoutNeed): Layout[] {
	requirePositive(need.usableWh, 'usableWh');
	requireNotNegative(need.continuousW, 'continuousW');
	requireNotNegative(need.peakW, 'peakW');
	if (!(need.window > 0 && need.window <= 1))
		throw new CoreError('out-of-range', 'window', `window requires a fraction between 0 and 1, got ${need.window}`);
	const layouts = cells.flatMap((cell) =>
		need.classesV.flatMap((classV) => {
			const series = SERIES[cell.chemistry][classV];
			if (!series) return [];
			return Array.from({ length: need.mostBatteries }, (_, b) => b + 1).flatMap((batteries) =>
				ofBatteries(cell, classV, series, batteries, need)
			);
		})
	);
	const possible = layouts.filter((l) => l.refusals.length === 0 && l.price !== null);
	for (const layout of possible)
		layout.isFront = !possible.some(
			(o) =>
				o.price! <= layout.price! &&
				o.usableWh >= layout.usableWh &&
				(o.price! < layout.price! || o.usableWh > layout.usableWh)
		);
	const rank = (l: Layout) => (l.refusals.length ? 2 : l.price === null ? 1 : 0);
	return layouts.sort((a, b) => rank(a) - rank(b) || (a.price ?? a.cells) - (b.price ?? b.cells));
}

function ofBatteries(cell: CellChoice, classV: number, series: number, batteries: number, need: LayoutNeed): Layout[] {
	const { nominalV } = CHEMISTRY_FIGURES[cell.chemistry];
	const whEach = series * nominalV * requirePositive(cell.ratedAh, 'ratedAh') * need.window;
	const least = Math.max(1, Math.ceil(need.usableWh / (whEach * batteries) - 1e-9));
	return Array.from({ length: STEPS_UP + 1 }, (_, i) => least + i)
		.filter((p) => whEach * p * batteries <= MAX_OF_NEED * need.usableWh || (p === 1 && batteries === 1))
		.map((p) => layoutOf(cell, classV, series, p, batteries, need));
}

function layoutOf(
	cell: CellChoice,
	classV: number,
	series: number,
	parallel: number,
	batteries: number,
	need: LayoutNeed
): Layout {
	const figures = CHEMISTRY_FIGURES[cell.chemistry];
	const nominalV = series * figures.nominalV;
	const bankAh = cell.ratedAh * parallel * batteries;
	const cells = series * parallel * batteries;
	const bought = Math.max(0, cells - cell.inStock);
	const usableWh = nominalV * bankAh * need.window;
	const [cRate, peakCRate] = [need.continuousW / nominalV / bankAh, need.peakW / nominalV / bankAh];
	const eachA = need.peakW / nominalV / batteries;
	const bmsA = BMS_SIZES_A.find((a) => a >= HEADROOM * eachA) ?? null;
	const price =
		(cell.price === null && bought > 0) || need.bmsPrice === null
			? null
			: bought * (cell.price ?? 0) + batteries * need.bmsPrice;
	const left = batteries - 1;
	const refusals: LayoutRefusal[] = [
		...(bmsA === null ? ['too-many-amps' as const] : []),
		...(peakCRate > (cell.dischargeCRate ?? figures.dischargeCRate) ? ['cells-too-weak' as const] : []),
		...(need.chargeW / nominalV / bankAh > (cell.chargeCRate ?? figures.chargeCRate)
			? ['charge-too-fast' as const]
			: []),
		...(parallel > MAX_PARALLEL ? ['too-many-parallel' as const] : [])
	];
	const footprint = cell.widthMm && cell.thicknessMm ? (cells * cell.widthMm * cell.thicknessMm) / 1e6 : null;
	return {
		cell,
		classV,
		series,
		parallel,
		batteries,
		cells,
		nominalV,
		usableWh,
		cRate,
		peakCRate,
		bmsA,
		senseChannels: series * batteries,
		massKg: cell.massKg === null ? null : builtMassKg(cells * cell.massKg),
		footprintM2: footprint,
		price,
		pricePerUsableKwh: price === null ? null : price / (usableWh / 1000),
		leftWh: (usableWh * left) / batteries,
		othersCarry: left > 0 && bmsA !== null && need.peakW / nominalV / left <= bmsA,
		refusals,
		isFront: false
	};
}
