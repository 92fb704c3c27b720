import { CHEMISTRY_FIGURES, type Chemistry } from '../../foundation/chemistry';
import { STRATEGY_FIGURES } from '../../limits/values';
import { CoreError, requireNotNegative, requirePositive } from '../../foundation/errors';

export interface PartsInput {
	chemistry: Chemistry;
	series: number;
	batteries: number;
	/** Of the whole bank, from the battery: what runs for long, together, and at the largest start, W. */
	continuousW: number;
	peakW: number;
	surgeW: number;
	/** What charges it, together, A. */
	chargeA: number;
	/** Of the whole bank, Ah. */
	bankAh: number;
	/** It gets below freezing where it stands. */
	freezes: boolean;
	/** The voltage of one battery when the loads still run, at its lowest, V: the inverter's own cut-off; missing: the load's usual one. */
	leastV?: number | null;
	/** What a contactor's coil takes while it is closed, W; 0: a switch by hand, or solid state. */
	contactorW: number;
}

/** A part in its smallest sufficient size, A; null where none is made so large. */
export interface SizedPart {
	sizeA: number | null;
	/** What it is sized by, A. */
	wantedA: number;
}

export interface SizedParts {
	/** Of each battery. */
	bms: SizedPart & {
		/** Its cells, which must be as many as it is made for, and the volts it must bear full. */
		series: number;
		fullV: number;
		surgeA: number;
		chargeA: number;
		/** A BMS that wants 8 V feeds itself from so many cells; what its own sheet asks comes first. */
		feedsItself: boolean;
		needsColdSensor: boolean;
	};
	fuse: SizedPart & { leastDcV: number };
	shunt: SizedPart & {
		/** Counted a day though nothing flows: by this one, and by one five times as large. */
		zeroAhPerDay: number;
		fiveTimesAhPerDay: number;
	};
	/** What the contactor's coil takes a day, Wh, and of the capacity. */
	contactor: { whPerDay: number; shareOfCapacity: number };
}

/** A BMS, and a fuse above it, takes so many times what flows (default). */
export const HEADROOM = 1.25;
/** Usual continuous ratings of a BMS, A. */
export const BMS_SIZES_A = [40, 60, 80, 100, 150, 200, 250, 300, 400];
const FUSE_SIZES_A = [40, 50, 60, 80, 100, 125, 150, 175, 200, 225, 250, 300, 350, 400, 500];
const SHUNT_SIZES_A = [50, 100, 150, 200, 300, 500, 1000];
/** Zero error of a shunt with its counter, of its rating (default). */
const ZERO_SHARE = 0.0004;
/** A BMS of the usual kind wants so many volts to run (default). */
const BMS_LEAST_V = 8;

const smallest = (sizes: readonly number[], wantedA: number): SizedPart => ({
	sizeA: sizes.find((size) => size >= wantedA) ?? null,
	wantedA
});

/** BMS, main fuse, shunt and contactor of a bank, each as small as it may be, with what it is sized by. @throws CoreError `layout`, `not-positive`, `negative` */
export function sizeParts(input: PartsInput): SizedParts {
	const { chemistry, series, batteries } = input;
	for (const key of ['series', 'batteries'] as const)
		if (!Number.isInteger(input[key]) || input[key] < 1)
			throw new CoreError('layout', key, `${key} requires a whole number from 1, got ${input[key]}`);
	for (const key of ['continuousW', 'peakW', 'surgeW', 'chargeA', 'contactorW'] as const)
		requireNotNegative(input[key], key);
	requirePositive(input.bankAh, 'bankAh');
	const { nominalV, chargeLimitV, dischargeLimitV } = CHEMISTRY_FIGURES[chemistry];
	const volts = series * nominalV;
	const leastV = input.leastV ?? series * STRATEGY_FIGURES[chemistry]['middle-road'].loadCutoffV;
	requirePositive(leastV, 'leastV');
	// The same watts are most amperes when the voltage is lowest.
	const each = (w: number) => w / leastV / batteries;
	const peakA = each(input.peakW);
	// When all run from one shunt, it sees them all.
	const shunt = smallest(SHUNT_SIZES_A, Math.max(input.peakW / leastV, input.chargeA));
	const bms = smallest(BMS_SIZES_A, HEADROOM * Math.max(peakA, input.chargeA / batteries));
	// The fuse has room above what the BMS lets through, as Limits asks.
	const fuse = smallest(FUSE_SIZES_A, bms.sizeA === null ? HEADROOM * bms.wantedA : HEADROOM * bms.sizeA);
	const zero = (sizeA: number) => sizeA * ZERO_SHARE * 24;
	const shuntA = shunt.sizeA ?? SHUNT_SIZES_A.at(-1)!;
	const whPerDay = input.contactorW * 24;
	return {
		bms: {
			...bms,
			series,
			fullV: series * chargeLimitV,
			surgeA: each(input.surgeW),
			chargeA: input.chargeA / batteries,
			feedsItself: series * dischargeLimitV >= BMS_LEAST_V,
			needsColdSensor: input.freezes && chemistry !== 'LTO'
		},
		fuse: { ...fuse, leastDcV: series * chargeLimitV },
		shunt: { ...shunt, zeroAhPerDay: zero(shuntA), fiveTimesAhPerDay: zero(5 * shuntA) },
		contactor: { whPerDay, shareOfCapacity: whPerDay / (input.bankAh * volts) }
	};
}
