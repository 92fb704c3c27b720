import { readBms, readShunt } from '$lib/core/world/bench';
import { TRIPS } from '$lib/core/world/simulation';
import type { World } from '../world';

/** Register maps of BMS and shunt; the same registers answer functions 3 and 4. See docs/protocols.md. */
export const MAP_VERSION = 1;
export const BMS_UNIT = 1;
export const SHUNT_UNIT = 2;
const BMS_LIMITS_AT = 200;
const BMS_GROUPS_AT = 100;
const SHUNT_RESET_AT = 20;

const int16 = (value: number): number[] => [Math.round(value) & 0xffff];
const int32 = (value: number): number[] => {
	const bits = Math.round(value) | 0;
	return [(bits >>> 16) & 0xffff, bits & 0xffff];
};
function uint64(value: number): number[] {
	let bits = BigInt(Math.max(0, Math.round(value)));
	const words: number[] = [];
	for (let i = 0; i < 4; i++) {
		words.unshift(Number(bits & 0xffffn));
		bits >>= 16n;
	}
	return words;
}

export interface RegisterMap {
	/** All registers that can be read now, by address. */
	registers(): Map<number, number>;
	/** Writes one register. @returns false where there is none to write */
	write(address: number, value: number): boolean;
}

const place = (map: Map<number, number>, from: number, words: number[]) =>
	words.forEach((word, k) => map.set(from + k, word));

const LIMITS = ['cellHighV', 'cellHighReleaseV', 'cellLowV', 'cellLowReleaseV'] as const;

export function bmsMap(world: World): RegisterMap {
	const limits = () => world.bench().joined?.guarded.bms?.limits ?? null;
	return {
		registers() {
			world.heard();
			const bench = world.bench();
			const reading = readBms(bench);
			const map = new Map<number, number>();
			const trips = TRIPS.reduce((bits, trip, k) => bits | (reading?.trips.includes(trip) ? 1 << k : 0), 0);
			const allowed = reading ? (reading.chargeBlocked ? 0 : 1) | (reading.dischargeBlocked ? 0 : 2) : 0;
			place(map, 0, [MAP_VERSION, reading?.groupV.length ?? 0, allowed, trips]);
			place(map, 4, int32((reading?.packV ?? 0) * 1000));
			place(map, 6, int32((reading?.currentA ?? 0) * 1000));
			place(map, 8, int16((reading?.temperatureC[0] ?? 0) * 10));
			place(map, 9, int16((reading?.temperatureC[1] ?? 0) * 10));
			place(map, 10, uint64(world.clockMs() ?? 0));
			reading?.groupV.forEach((v, g) => place(map, BMS_GROUPS_AT + g, int16(v * 1000)));
			const set = limits();
			if (set) LIMITS.forEach((name, k) => place(map, BMS_LIMITS_AT + k, int16(set[name] * 1000)));
			return map;
		},
		write(address, value) {
			const set = limits();
			const name = LIMITS[address - BMS_LIMITS_AT];
			if (!set || !name) return false;
			set[name] = value / 1000;
			return true;
		}
	};
}

export function shuntMap(world: World): RegisterMap {
	return {
		registers() {
			world.heard();
			const reading = readShunt(world.bench());
			const map = new Map<number, number>();
			place(map, 0, [MAP_VERSION, 0]);
			place(map, 2, int32(reading.voltageV * 1000));
			place(map, 4, int32(reading.currentA * 1000));
			place(map, 6, int32(reading.countedAh * 1000));
			place(map, 8, uint64(world.clockMs() ?? 0));
			map.set(SHUNT_RESET_AT, 0);
			return map;
		},
		write(address, value) {
			if (address !== SHUNT_RESET_AT || value !== 1) return false;
			world.bench().shuntAh = 0;
			return true;
		}
	};
}
