import { CoreError, requirePositive } from '../shared';

export const LIVE_KINDS = ['capacity', 'balance', 'watch'] as const;
export type LiveKind = (typeof LIVE_KINDS)[number];

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

/** @throws CoreError `live-plan` naming what cannot be */
export function checkLivePlan(phases: readonly LivePhase[], chargeLimitV: number, seriesCells: number): void {
	phases.forEach((phase, k) => {
		const path = `phases.${k}`;
		for (const [name, value] of Object.entries(phase))
			if (name !== 'kind' && name !== 'holdS' && value !== undefined)
				requirePositive(value as number, `${path}.${name}`);
		if (phase.kind === 'charge' && phase.voltageV > chargeLimitV * seriesCells + 1e-9)
			throw new CoreError(
				'live-plan',
				`${path}.voltageV`,
				`voltageV requires at most the cells’ charge limit, ${(chargeLimitV * seriesCells).toFixed(2)} V, got ${phase.voltageV} V`
			);
		if (phase.kind === 'charge' && phase.tailA >= phase.currentA)
			throw new CoreError(
				'live-plan',
				`${path}.tailA`,
				`tailA requires less than the set current, got ${phase.tailA} A`
			);
	});
	if (phases.length === 0) throw new CoreError('live-plan', 'phases', 'A live run requires one phase or more');
}
