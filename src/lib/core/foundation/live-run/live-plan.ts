import { CoreError, requirePositive } from '../errors';

export const LIVE_KINDS = ['capacity', 'balance', 'watch'] as const;
export type LiveKind = (typeof LIVE_KINDS)[number];
export const LIVE_NAMES: Record<LiveKind, string> = { capacity: 'Capacity run', balance: 'Balance', watch: 'Watch' };

/** One stretch of a live run. Currents are positive numbers; the kind says which way they flow. */
export type LivePhase =
	| {
			kind: 'charge';
			/** The supply's voltage limit, V, and current, A. */
			voltageV: number;
			currentA: number;
			/** Ends when the current has stayed at or below this, at the voltage, for `holdS`. */
			tailA: number;
			holdS: number;
			/** Ends sooner when so much has gone in, Ah: to bring a tested cell back to a charge it can rest at. */
			stopAh?: number;
	  }
	| { kind: 'rest'; durationS: number }
	| { kind: 'discharge'; currentA: number; cutoffV: number }
	| { kind: 'watch' };

/** What the cells of a run may be put to. Volts and amperes of the cell or row as one. */
export interface LiveLimits {
	chargeLimitV: number;
	dischargeLimitV: number;
	chargeMaxA: number;
	dischargeMaxA: number;
	/** Coldest the cells may be charged at, °C, and what they are at; null when nobody measured. */
	chargeColdC: number;
	temperatureC: number | null;
}

/**
 * A plan that would drive cells past their maker's limits is refused before anything is set.
 * @throws CoreError `live-plan` naming what cannot be
 */
export function checkLivePlan(phases: readonly LivePhase[], limits: LiveLimits): void {
	const refuse = (path: string, message: string): never => {
		throw new CoreError('live-plan', path, message);
	};
	const most = (path: string, value: number, limit: number, unit: string, of: string) => {
		if (value > limit * (1 + 1e-9))
			refuse(
				path,
				`${path.split('.').pop()} requires at most the cells’ ${of}, ${Number(limit.toPrecision(4))} ${unit}, got ${value} ${unit}`
			);
	};
	phases.forEach((phase, k) => {
		const path = `phases.${k}`;
		for (const [name, value] of Object.entries(phase))
			if (name !== 'kind' && name !== 'holdS' && value !== undefined)
				requirePositive(value as number, `${path}.${name}`);
		if (phase.kind === 'charge') {
			most(`${path}.voltageV`, phase.voltageV, limits.chargeLimitV, 'V', 'charge limit');
			most(`${path}.currentA`, phase.currentA, limits.chargeMaxA, 'A', 'charge current');
			if (phase.tailA >= phase.currentA)
				refuse(`${path}.tailA`, `tailA requires less than the set current, got ${phase.tailA} A`);
			if (limits.temperatureC !== null && limits.temperatureC < limits.chargeColdC)
				refuse(
					`${path}.kind`,
					`These cells must not be charged below ${limits.chargeColdC} °C, and they are at ${limits.temperatureC} °C: let them warm up first`
				);
		}
		if (phase.kind === 'discharge') {
			most(`${path}.currentA`, phase.currentA, limits.dischargeMaxA, 'A', 'discharge current');
			if (phase.cutoffV < limits.dischargeLimitV - 1e-9)
				refuse(
					`${path}.cutoffV`,
					`cutoffV requires at least the cells’ discharge limit, ${limits.dischargeLimitV} V, got ${phase.cutoffV} V`
				);
		}
	});
	if (phases.length === 0) refuse('phases', 'A live run requires one phase or more');
}
