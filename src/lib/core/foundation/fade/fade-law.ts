import { requireNotNegative, requirePositive } from '../errors';

/** A capacity of a moment, as the law sees it. */
export interface FadeObservation {
	ageYears: number;
	/** Equivalent full cycles at the time of the test. */
	efc: number;
	capacityAh: number;
	/** One sd of the measured capacity, Ah. */
	sdAh: number;
}

/** One part of the law of fading: a coefficient with its prior, and what it is multiplied by at an age. */
export interface FadeTerm {
	name: 'level' | 'calendar' | 'cycles' | 'bend' | 'late' | 'exchanged';
	/** Normal; cut off below 0 where the coefficient cannot be negative. */
	prior: { mean: number; sd: number };
	/** The level alone may have either sign. */
	isFree: boolean;
	/** Age at which it lifts the course; missing where it never does. */
	stepYears?: number;
	/** Share of rated at an age after so many cycles, for a coefficient of 1. */
	at(ageYears: number, efc: number): number;
}

/** Prior mean and sd of q0 (fraction), a (/√year, ≥ 0) and b (/EFC, ≥ 0): typical of published LFP ageing (default). */
export const FADE_PRIOR = {
	q0: { mean: 1.02, sd: 0.03 },
	a: { mean: 0.015, sd: 0.01 },
	b: { mean: 4e-5, sd: 2.5e-5 }
} as const;

/** `q0 − a·√t − b·N` (models §15): what every battery is taken to follow until something bends it. */
export const USUAL_LAW: readonly FadeTerm[] = [
	{ name: 'calendar', prior: FADE_PRIOR.a, isFree: false, at: (years) => -Math.sqrt(years) },
	{ name: 'cycles', prior: FADE_PRIOR.b, isFree: false, at: (_, efc) => -efc },
	{ name: 'level', prior: FADE_PRIOR.q0, isFree: true, at: () => 1 }
];

/** A fall of so much a year, half-normal, from the year it bends on (default). */
const BEND_PER_YEAR = 0.04;
/** A fall of so much a year², half-normal, all along (default). */
const LATE_PER_YEAR2 = 0.0015;
/** A cell that was exchanged had cost its battery so much of rated from the start, and as much again by falling behind; half-normal (default). */
const WEAK = 0.06;

/** From an age on it falls faster, by so much a year. */
export const bendAt = (fromYears: number): FadeTerm => ({
	name: 'bend',
	prior: { mean: 0, sd: BEND_PER_YEAR },
	isFree: false,
	at: (years) => -Math.max(0, years - fromYears)
});

/** It falls ever faster. */
export const LATE: FadeTerm = {
	name: 'late',
	prior: { mean: 0, sd: LATE_PER_YEAR2 },
	isFree: false,
	at: (years) => -(years ** 2)
};

/** Until a weak cell was exchanged it cost its battery capacity, evenly and ever more. */
export const exchangedAt = (years: number): FadeTerm[] =>
	[() => -1, (age: number) => -age / years].map((lost) => ({
		name: 'exchanged',
		prior: { mean: 0, sd: WEAK },
		isFree: false,
		stepYears: years,
		at: (age) => (age < years ? lost(age) : 0)
	}));

/** @throws CoreError `not-positive`, `negative`, `not-a-number`; paths as sent */
export function requireObservations(
	ratedAh: number,
	observations: readonly (Omit<FadeObservation, 'efc'> & { efc?: number | null })[]
): void {
	requirePositive(ratedAh, 'ratedAh');
	observations.forEach((o, i) => {
		requireNotNegative(o.ageYears, `observations.${i}.ageYears`);
		if (o.efc != null) requireNotNegative(o.efc, `observations.${i}.efc`);
		requirePositive(o.capacityAh, `observations.${i}.capacityAh`);
		requirePositive(o.sdAh, `observations.${i}.sdAh`);
	});
}
