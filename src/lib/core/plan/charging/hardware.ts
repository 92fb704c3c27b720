import { parallelBars } from '../../foundation/parallel-charge';
import { CoreError } from '../../foundation/errors';

export const HARDWARE_ITEMS = [
	'bar',
	'rowLink',
	'stud',
	'nut',
	'ring',
	'jumper',
	'thermistorPad',
	'insulationSheet',
	'endPlate',
	'mainTerminal'
] as const;
export type HardwareItem = (typeof HARDWARE_ITEMS)[number];
export type Hardware = Partial<Record<HardwareItem, number>>;

export interface HardwareInput {
	/** Of each battery. */
	series: number;
	parallel: number;
	batteries: number;
	/** Rows the cells of a battery stand in. */
	rows: number;
	/** Threads on each pole of a cell: one, or two side by side. */
	studsPerPole: 1 | 2;
	/** All cells in one row for the balance, or each battery by itself. */
	balance: 'together' | 'in-turn';
}

export interface HardwarePlan {
	/** While all cells stand in parallel. */
	fixture: Hardware;
	/** In all batteries as they will work. */
	build: Hardware;
	/** Most that is in use at once: what was in the fixture is free again for the build. */
	atOnce: Hardware;
}

/** Thermistors of a battery: two, and one more a row beyond the first (default). */
const THERMISTORS = 2;

/**
 * Bars, studs, nuts, rings and the rest, for the row in parallel and for the batteries as they will be (models §16: 2·(n − 1) bars;
 * (S − 1)(2P − 1) + 2(P − 1): 8S2P has 23). On a pole with one thread neighbouring bars share it, on one with two each has its own.
 * @throws CoreError `layout`
 */
export function hardwareFor(input: HardwareInput): HardwarePlan {
	for (const key of ['series', 'parallel', 'batteries', 'rows'] as const)
		if (!Number.isInteger(input[key]) || input[key] < 1)
			throw new CoreError('layout', key, `${key} requires a whole number from 1, got ${input[key]}`);
	const { series, parallel, batteries, rows, studsPerPole, balance } = input;
	const inBattery = series * parallel;
	const inRow = balance === 'together' ? inBattery * batteries : inBattery;
	const fixtureBars = parallelBars(inRow);
	const poles = (cells: number) => 2 * cells * studsPerPole;
	const fixture: Hardware = {
		bar: fixtureBars,
		stud: poles(inRow),
		nut: studsPerPole === 2 ? 2 * fixtureBars + 2 : 2 * inRow,
		// Supply to opposite corners, the meter to the middle.
		ring: 4,
		insulationSheet: Math.max(0, inRow - 1)
	};
	const barsInBattery = (series - 1) * (2 * parallel - 1) + 2 * (parallel - 1);
	// Where one row goes over into the next the bars are longer.
	const links = Math.min(rows - 1, series - 1);
	const build: Hardware = {
		bar: batteries * (barsInBattery - links),
		rowLink: batteries * links,
		stud: poles(inBattery) * batteries,
		nut: batteries * (studsPerPole === 2 ? 2 * barsInBattery + 2 + series + 1 : 2 * inBattery),
		ring: batteries * (series + 1),
		jumper: balance === 'together' ? 0 : batteries,
		thermistorPad: batteries * (THERMISTORS + rows - 1),
		insulationSheet: batteries * Math.max(0, inBattery - 1),
		endPlate: batteries * 2 * rows,
		mainTerminal: batteries * 2
	};
	const atOnce = Object.fromEntries(
		HARDWARE_ITEMS.map((item) => [item, Math.max(fixture[item] ?? 0, build[item] ?? 0)])
	) as Hardware;
	return { fixture, build, atOnce };
}

export interface Shortfall {
	item: HardwareItem;
	wanted: number;
	there: number;
	missing: number;
	/** For which of the two it is missing first. */
	missedAt: 'balance' | 'build';
}

/** What the kit lacks, by item, what is missed first first. @param kit what is there; missing items: none */
export function shortfalls({ fixture, atOnce }: HardwarePlan, kit: Hardware): Shortfall[] {
	return HARDWARE_ITEMS.flatMap((item) => {
		const [wanted, there] = [atOnce[item] ?? 0, kit[item] ?? 0];
		if (there >= wanted) return [];
		const missedAt: Shortfall['missedAt'] = (fixture[item] ?? 0) > there ? 'balance' : 'build';
		return [{ item, wanted, there, missing: wanted - there, missedAt }];
	}).sort((a, b) => (a.missedAt === b.missedAt ? 0 : a.missedAt === 'balance' ? -1 : 1));
}
