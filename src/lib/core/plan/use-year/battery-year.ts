import { HOURS, MONTH_OF_DAY } from '../sun';
import type { YearInput } from './input';
import type { PreparedYear } from './prepare';

/** Energy that goes in and does not come out again (default): all of it counted when it is charged. */
export const CHARGE_EFFICIENCY = { LFP: 0.95, LTO: 0.95, NMC: 0.95 } as const;
/** From this share of the usable charge on the charger falls back, to so little at full (default). */
const TAPER_FROM = 0.95;
const TAPER_TO = 0.1;
/** Within this of an end it is there. */
const AT_AN_END = 1e-9;
const NEARLY_FULL = 0.99;

/** What goes on from one year into the next. */
export interface BatteryState {
	storedWh: number;
	generatorOn: boolean;
}

/** One year of a battery; energies in Wh. */
export interface BatteryYear {
	panelWh: number;
	sourceWh: number;
	generatorWh: number;
	servedWh: number;
	missingWh: number;
	lostWh: number;
	dischargedWh: number;
	generatorHours: number;
	hoursFull: number;
	hoursEmpty: number;
	hoursTooCold: number;
	meanSoc: number;
	/** State of charge at the end of each day, of what is usable. */
	endOfDaySoc: Float64Array;
	/** What went in less what came out, was lost and is still there, as a share of what went in or out. */
	residual: number;
}

/** Counts a year hour by hour: sun first to what runs, then to the battery; what neither takes is left on the roof. */
export function batteryYear(
	{ battery, generator }: YearInput,
	{ demandW, sourceW, isTooCold }: PreparedYear,
	panelW: Float64Array,
	state: BatteryState
): BatteryYear {
	const { usableWh, maxChargeW } = battery;
	const efficiency = CHARGE_EFFICIENCY[battery.chemistry];
	const startWh = state.storedWh;
	const sum: BatteryYear = {
		panelWh: 0,
		sourceWh: 0,
		generatorWh: 0,
		servedWh: 0,
		missingWh: 0,
		lostWh: 0,
		dischargedWh: 0,
		generatorHours: 0,
		hoursFull: 0,
		hoursEmpty: 0,
		hoursTooCold: 0,
		meanSoc: 0,
		endOfDaySoc: new Float64Array(HOURS / 24),
		residual: 0
	};
	let stored = startWh;
	for (let h = 0; h < HOURS; h++) {
		const day = (h - (h % 24)) / 24;
		const cold = isTooCold[MONTH_OF_DAY[day]!]!;
		if (generator) {
			const soc = stored / usableWh;
			state.generatorOn = state.generatorOn ? soc < generator.stopSoc : soc < generator.startSoc;
		}
		const running = generator && state.generatorOn ? generator.w : 0;
		const demand = demandW[h]!;
		const offered = panelW[h]! + sourceW[h]! + running;
		const direct = Math.min(demand, offered);
		let chargeIn = 0;
		if (offered > demand && !cold) {
			const soc = stored / usableWh;
			const taper = soc <= TAPER_FROM ? 1 : 1 - ((soc - TAPER_FROM) / (1 - TAPER_FROM)) * (1 - TAPER_TO);
			chargeIn = Math.min(offered - demand, maxChargeW * taper, (usableWh - stored) / efficiency);
		}
		const fromBattery = Math.min(demand - direct, stored);
		stored = Math.min(usableWh, Math.max(0, stored + chargeIn * efficiency - fromBattery));
		// Who brought it: the sun before what is always there, the generator last.
		const used = direct + chargeIn;
		const panel = Math.min(used, panelW[h]!);
		const source = Math.min(used - panel, sourceW[h]!);
		sum.panelWh += panel;
		sum.sourceWh += source;
		sum.generatorWh += used - panel - source;
		sum.servedWh += direct + fromBattery;
		sum.missingWh += demand - direct - fromBattery;
		sum.lostWh += chargeIn * (1 - efficiency);
		sum.dischargedWh += fromBattery;
		if (running > 0) sum.generatorHours++;
		if (stored >= usableWh * NEARLY_FULL) sum.hoursFull++;
		if (stored <= usableWh * AT_AN_END) sum.hoursEmpty++;
		if (cold) sum.hoursTooCold++;
		sum.meanSoc += stored / usableWh / HOURS;
		if (h % 24 === 23) sum.endOfDaySoc[day] = stored / usableWh;
	}
	state.storedWh = stored;
	const wentIn = sum.panelWh + sum.sourceWh + sum.generatorWh;
	const unaccounted = wentIn - sum.servedWh - sum.lostWh - (stored - startWh);
	sum.residual = Math.abs(unaccounted) / Math.max(wentIn, sum.servedWh, 1);
	return sum;
}

/** A day that ends at the cut-off. */
export const endsEmpty = (soc: number): boolean => soc <= AT_AN_END;
