import {
	LOADED_OHM_AH,
	BOTTOM_DOUBT,
	CHEMISTRY_FIGURES,
	HYSTERESIS_V,
	restVoltageCurve,
	type Chemistry
} from '../../foundation/chemistry';
import { requirePositive } from '../../foundation/errors';

/** What a load asks before it may be used. */
export type LoadNeed = 'inverter' | 'bond' | 'isolation' | 'attended' | 'water' | 'cooling' | 'vehicle' | 'sink';

/** Something that can take the charge of a cell or battery. */
export interface LoadAtHand {
	name: string;
	/** What it draws at its own voltage. */
	w: number;
	ownV: number;
	/** It runs on mains, behind an inverter. */
	mains: boolean;
	needs: readonly LoadNeed[];
}

export interface LoadFit {
	load: LoadAtHand;
	/** At the battery, A; null: it does not run at this voltage. */
	amps: number | null;
	hours: number | null;
	cRate: number | null;
	/** Why it does not fit; null where it does. */
	why: 'too-high' | 'too-low' | 'too-much' | null;
	/** Behind an inverter: where that stops, V of the battery, and what charge is left then, fractions; null: it goes as low as one lets it. */
	stops: { atV: number; leftLow: number; leftHigh: number } | null;
}

/** Things people have (default: our own figures; what is printed on the thing itself comes first). */
export const THINGS_AT_HAND: readonly LoadAtHand[] = [
	{ name: 'Electronic load', w: 180, ownV: 3.2, mains: false, needs: ['attended', 'cooling'] },
	{ name: 'Regenerative load', w: 300, ownV: 3.2, mains: false, needs: ['attended', 'sink'] },
	{ name: 'Car headlamps, two of 55 W', w: 110, ownV: 12, mains: false, needs: ['attended', 'cooling'] },
	{ name: 'Heater of a vehicle, 12 V', w: 150, ownV: 12, mains: false, needs: ['attended'] },
	{ name: 'Immersion element, 12 V', w: 300, ownV: 12, mains: false, needs: ['attended', 'water'] },
	{ name: 'Immersion element, 48 V', w: 1500, ownV: 48, mains: false, needs: ['attended', 'water'] },
	{ name: 'Fan heater', w: 1000, ownV: 230, mains: true, needs: ['inverter', 'bond', 'attended'] },
	{ name: 'Kettle', w: 1800, ownV: 230, mains: true, needs: ['inverter', 'bond', 'attended', 'water'] },
	{ name: 'Lamps of a house', w: 400, ownV: 230, mains: true, needs: ['inverter', 'bond', 'isolation'] },
	{ name: 'Vehicle on its charger', w: 1400, ownV: 230, mains: true, needs: ['inverter', 'bond', 'vehicle'] }
];

/** Above this a thing is made for the mains, V. */
const MAINS_FROM_V = 60;

/** A thing of somebody's own, with what such a thing asks: on the mains it hangs on an inverter like any other. @throws CoreError `not-positive` */
export function ownLoad(w: number, ownV: number): LoadAtHand {
	requirePositive(w, 'w');
	requirePositive(ownV, 'ownV');
	const mains = ownV > MAINS_FROM_V;
	return {
		name: 'Yours',
		w,
		ownV,
		mains,
		needs: mains ? ['inverter', 'bond', 'isolation', 'attended'] : ['attended', 'cooling']
	};
}

const INVERTER_EFFICIENCY = 0.9;
/** Inverters run from the named voltage of a battery, V, by its class. */
const INVERTER_CLASSES = [
	{ from: 10.5, to: 16 },
	{ from: 21, to: 32 },
	{ from: 42, to: 64 }
];
/** A resistance takes less at less than its own voltage; below this share it hardly draws anything worth the hours, above it burns. */
const VOLTS = { least: 0.2, most: 1.25 };

/** What is discharged: so many cells in series. */
export interface LoadedBattery {
	chemistry: Chemistry;
	series: number;
	capacityAh: number;
	/** Where its inverter switches off, V of the battery; null or missing: as such inverters usually do. */
	inverterStopsV?: number | null;
}

/** Resistance of a cell under a load that lasts, as a share of the typical; doubt of the curve, 95 %, V (default). */
const LOADED = { least: 0.5, most: 2.5, curveV: 0.012 };

/**
 * What charge a cell still holds when it reads so much under load, fractions, at room temperature: by the rest-voltage curve, load drop and
 * hysteresis added. In the cold more stays out of reach.
 */
function leftAt(chemistry: Chemistry, cellV: number, cRate: number): { leftLow: number; leftHigh: number } {
	const curve = restVoltageCurve(chemistry);
	const loopV = HYSTERESIS_V[chemistry];
	const at = (share: number, v: number, doubt: number) =>
		Math.min(1, Math.max(0, curve.xOf(cellV + share * cRate * LOADED_OHM_AH + loopV + v)) + doubt);
	return {
		leftLow: Math.max(0, at(LOADED.least, -LOADED.curveV, -BOTTOM_DOUBT)),
		leftHigh: at(LOADED.most, LOADED.curveV, BOTTOM_DOUBT)
	};
}

/** What each thing would take out of so many cells in series, and for how long. @throws CoreError `not-positive` */
export function fitLoads(
	things: readonly LoadAtHand[],
	{ chemistry, series, capacityAh, inverterStopsV = null }: LoadedBattery
): LoadFit[] {
	requirePositive(series, 'series');
	requirePositive(capacityAh, 'capacityAh');
	const { nominalV, dischargeCRate } = CHEMISTRY_FIGURES[chemistry];
	const volts = series * nominalV;
	return things.map((load): LoadFit => {
		const none = (why: 'too-high' | 'too-low'): LoadFit => ({
			load,
			amps: null,
			hours: null,
			cRate: null,
			why,
			stops: null
		});
		if (load.mains && !INVERTER_CLASSES.some((c) => volts >= c.from && volts <= c.to)) return none('too-low');
		if (!load.mains && volts > load.ownV * VOLTS.most) return none('too-high');
		if (!load.mains && volts < load.ownV * VOLTS.least) return none('too-low');
		// A resistance: its power goes by the square of the volts.
		const watts = load.mains ? load.w / INVERTER_EFFICIENCY : load.w * (volts / load.ownV) ** 2;
		const amps = watts / volts;
		const cRate = amps / capacityAh;
		const own = INVERTER_CLASSES.find((c) => volts >= c.from && volts <= c.to);
		const atV = load.mains ? (inverterStopsV ?? own?.from ?? null) : null;
		const stops = atV === null ? null : { atV, ...leftAt(chemistry, atV / series, cRate) };
		// What the inverter leaves is not taken.
		const taken = stops ? 1 - (stops.leftLow + stops.leftHigh) / 2 : 1;
		return {
			load,
			amps,
			hours: (taken * capacityAh) / amps,
			cRate,
			stops,
			why: cRate > dischargeCRate ? 'too-much' : null
		};
	});
}

/** Water a discharge warms. */
export interface WarmedWater {
	/** From the start temperature to the stop, with all of the charge; °C a discharge would lift it by. */
	liftC: number;
	/** It reaches the stop before the charge is out: add cold water, or stop then. Minutes until then; null: it does not. */
	stopAfterMin: number | null;
	/** Ice that would take the rest, kg. */
	iceKg: number;
}

/** Never nearer to boiling than this, °C. */
export const WATER_STOP_C = 60;
const WATER_J = 4186;
const ICE_J = 334_000;

/** What the energy of a discharge makes of so much water: stirred, and stopped before 60 °C. @throws CoreError `not-positive` */
export function warmWater(energyWh: number, watts: number, litres: number, fromC: number): WarmedWater {
	requirePositive(energyWh, 'energyWh');
	requirePositive(watts, 'watts');
	requirePositive(litres, 'litres');
	const joules = energyWh * 3600;
	const liftC = joules / (litres * WATER_J);
	const room = Math.max(0, WATER_STOP_C - fromC) * litres * WATER_J;
	const over = Math.max(0, joules - room);
	return { liftC, stopAfterMin: over > 0 ? room / watts / 60 : null, iceKg: over / (ICE_J + WATER_STOP_C * WATER_J) };
}
