import { byChemistry, type Chemistry } from '../../foundation/chemistry';
import type { Battery } from './battery';
import { CoreError, requireNotNegative, requirePositive } from '../../foundation/errors';

export interface Balancer {
	/** Passive bleeds high groups through a resistor; active carries charge from the highest to the lowest. */
	kind: 'passive' | 'active';
	/** Bleed or transfer current, A. */
	currentA: number;
	/** Balancing begins above this group voltage, V. */
	startV: number;
	/** And while the groups differ by more than this, V. */
	triggerV: number;
	/** Share of the charge taken that arrives (active). */
	efficiency: number;
	/** Only while the battery is being charged. */
	chargingOnly: boolean;
}

const DEFAULTS: Record<Balancer['kind'], Omit<Balancer, 'kind' | 'startV'>> = {
	passive: { currentA: 0.1, triggerV: 0.01, efficiency: 1, chargingOnly: true },
	active: { currentA: 2, triggerV: 0.01, efficiency: 0.85, chargingOnly: false }
};
/** Where the curve begins to rise to full, V. */
const START_V: Record<Chemistry, number> = byChemistry((kind) => kind.risesToFullFromV);

/** @throws CoreError naming the field */
export function completeBalancer(spec: Partial<Balancer>, chemistry: Chemistry, path = 'balancer'): Balancer {
	const kind = spec.kind ?? 'passive';
	if (kind !== 'passive' && kind !== 'active')
		throw new CoreError('out-of-range', `${path}.kind`, 'kind requires passive or active');
	const given = Object.fromEntries(Object.entries(spec).filter(([, value]) => value !== undefined));
	const balancer: Balancer = { kind, startV: START_V[chemistry], ...DEFAULTS[kind], ...given };
	requirePositive(balancer.currentA, `${path}.currentA`);
	requireNotNegative(balancer.startV, `${path}.startV`);
	requireNotNegative(balancer.triggerV, `${path}.triggerV`);
	if (!(requirePositive(balancer.efficiency, `${path}.efficiency`) <= 1))
		throw new CoreError('out-of-range', `${path}.efficiency`, 'efficiency requires at most 1');
	return balancer;
}

/**
 * Sets each group's balancing current from the group voltages as the balancer reads them.
 * @param readV volts a group, in group order; @param chargingA current into the battery, A
 */
export function balanceGroups(battery: Battery, balancer: Balancer, readV: ArrayLike<number>, chargingA: number): void {
	battery.balanceA.fill(0);
	if (balancer.chargingOnly && chargingA <= 0) return;
	let [lowest, highest] = [0, 0];
	for (let g = 1; g < readV.length; g++) {
		if (readV[g]! < readV[lowest]!) lowest = g;
		if (readV[g]! > readV[highest]!) highest = g;
	}
	if (readV[highest]! - readV[lowest]! <= balancer.triggerV || readV[highest]! < balancer.startV) return;
	if (balancer.kind === 'active') {
		battery.balanceA[highest] = -balancer.currentA;
		battery.balanceA[lowest] = balancer.currentA * balancer.efficiency;
		return;
	}
	for (let g = 0; g < readV.length; g++)
		if (readV[g]! >= balancer.startV && readV[g]! - readV[lowest]! > balancer.triggerV)
			battery.balanceA[g] = -balancer.currentA;
}
