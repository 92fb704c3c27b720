import { FREE_AIR_W_PER_K, HEAT_CAPACITY_J_PER_KG_K } from '../../world/cell-model';
import { requireNotNegative, requirePositive } from '../../foundation/errors';

/** As warm as the box, but for so much, K (default). */
const NEARLY_K = 1;

/**
 * How long a cell stands in a warm box until it is within 1 K of it, h: `m·cp/(h·A) · ln(ΔT/1 K)`, alone in free air (models §3).
 * @param massKg of one cell @param deltaK how much colder than the box, K; up to 1 K: no time
 * @throws CoreError `not-positive`, `negative`
 */
export function soakHours(massKg: number, deltaK: number): number {
	requirePositive(massKg, 'massKg');
	requireNotNegative(deltaK, 'deltaK');
	const timeConstantH = (massKg * HEAT_CAPACITY_J_PER_KG_K) / FREE_AIR_W_PER_K / 3600;
	return timeConstantH * Math.log(Math.max(1, deltaK / NEARLY_K));
}
