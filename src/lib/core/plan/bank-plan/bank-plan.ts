import type { Hourly, PanelField } from '../use-year';
import type { ChargerChoice, SupplyChoice, Hardware } from '../charging';
import type { PlannedLoad } from '../loads';

/** Inside of a box and what stands in it beside the cells, mm. */
export interface PlannedBox {
	lengthMm: number;
	widthMm: number;
	heightMm: number;
	insulationMm: number | null;
	endPlateMm: number | null;
	lidMm: number | null;
	cableMm: number | null;
	bms: { lengthMm: number; widthMm: number; heightMm: number } | null;
	/** Main fuse, disconnect and what joins them. */
	fuse?: { lengthMm: number; widthMm: number; heightMm: number } | null;
}

/** What stands between the battery and the mains of the house. */
export interface PlannedInverter {
	efficiency: number;
	idleW: number;
	/** What it can give for long, W on its own side; null or missing: not said. */
	ratedW?: number | null;
	/** Where it stops by itself, V of the battery; null or missing: not said. */
	cutoffV?: number | null;
}

/** What a person has written down before buying; null: not said. */
export interface BankPlan {
	latitudeDeg: number | null;
	loads: readonly PlannedLoad[];
	inverter: PlannedInverter | null;
	/** BMS, balancer, display, relays. */
	standbyW: number | null;
	/** Share of the capacity that is used. */
	window: number | null;
	fields: readonly PanelField[];
	/** kWh/m² a day on the horizontal by month. */
	sunHours: readonly number[] | null;
	airC: readonly number[] | null;
	/** The box is kept at least so warm, °C; null: as the air. */
	boxWarmC: number | null;
	/** Alternator, shore. */
	sources: readonly Hourly[];
	generator: { w: number; startSoc: number; stopSoc: number } | null;
	coldestC: number | null;
	hottestC: number | null;
	chargers: readonly ChargerChoice[];
	supplies: readonly SupplyChoice[];
	/** They are on only while somebody is there, h a day; null: day and night. */
	supplyHoursADay: number | null;
	seriesChargeA: number | null;
	/** Cells that the bars in hand join at once. */
	barsForCells: number | null;
	studsPerPole: 1 | 2;
	balance: 'together' | 'in-turn';
	rows: number | null;
	kit: Hardware;
	box: PlannedBox | null;
	people: number | null;
	/** Of one cell, one BMS, and a ready-made battery with its usable Wh, in the currency of the settings. */
	cellPrice: number | null;
	bmsPrice: number | null;
	readyMadePrice: number | null;
	readyMadeWh: number | null;
	orderOn: string | null;
	cellLeadDays: number | null;
	partLeadDays: number | null;
	testers: number | null;
	testA: number | null;
	/** What a meter in the circuit showed when a tester was set to that, A; null: nobody looked. */
	testDeliversA: number | null;
	hoursADay: number | null;
}

export const NO_PLAN: BankPlan = {
	latitudeDeg: null,
	loads: [],
	inverter: null,
	standbyW: null,
	window: null,
	fields: [],
	sunHours: null,
	airC: null,
	boxWarmC: null,
	sources: [],
	generator: null,
	coldestC: null,
	hottestC: null,
	chargers: [],
	supplies: [],
	supplyHoursADay: null,
	seriesChargeA: null,
	barsForCells: null,
	studsPerPole: 1,
	balance: 'together',
	rows: null,
	kit: {},
	box: null,
	people: null,
	cellPrice: null,
	bmsPrice: null,
	readyMadePrice: null,
	readyMadeWh: null,
	orderOn: null,
	cellLeadDays: null,
	partLeadDays: null,
	testers: null,
	testA: null,
	testDeliversA: null,
	hoursADay: null
};

/** Where nothing is said (default). */
export const USUAL_PLAN = {
	window: 0.8,
	standbyW: 3,
	coldestC: -10,
	/** Of a panel in the sun. */
	panelHotC: 65,
	people: 1,
	cellLeadDays: 42,
	partLeadDays: 14,
	testers: 1,
	testA: 20,
	hoursADay: 4
} as const;
