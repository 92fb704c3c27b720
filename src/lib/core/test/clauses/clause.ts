import { CHEMISTRY_FIGURES, type Chemistry } from '../../foundation/chemistry';
import { CLAUSE_KINDS, type Clause } from '../../picture';

/** A run as far as it was written down or logged. */
export interface ClauseRun {
	/** Null: nobody said. */
	startedFull: boolean | null;
	restH: number | null;
	cRate: number | null;
	temperatureC: number | null;
	/** Where it ended, V. */
	cutoffV: number | null;
	/** It was broken off before its end. */
	endedEarly: boolean;
	/** Its rate and temperature are too far from the clause’s to be reckoned back. */
	tooFar: boolean;
	tester: string | null;
}

/** What a protocol asks of a run, and what became of it. */
export const ASKED = ['full', 'rested', 'rate', 'temperature', 'cutoff', 'tester'] as const;

export type Asked = (typeof ASKED)[number];

export interface Tick {
	asked: Asked;
	/** `kept`; `corrected`: departs, and is reckoned back; `unknown`: nobody said, and its doubt is added; `void`: says nothing of the clause. */
	state: 'kept' | 'corrected' | 'unknown' | 'void';
	/** The promise and the run, in words and figures; null where one is not known. */
	wanted: string;
	was: string | null;
}

export const USUAL_CONDITIONS = { restH: 1, dischargeCRate: 0.2, temperatureC: 25 };

/** Like enough: rate as a share, K, V, h. */
const LIKE = { rate: 0.1, temperatureC: 2, cutoffV: 0.03, restH: 0.25 };

/** A run that ended higher than asked by more than this is a run to another end, V. */
export const OTHER_END_V = 0.05;

/** The protocol of a clause ticked from a run: what was kept, what is corrected, what nobody knows, what voids it. Order of {@link ASKED}. */
export function clauseStrip(clause: Clause, run: ClauseRun, chemistry: Chemistry): Tick[] {
	const { dischargeLimitV, chargeLimitV } = CHEMISTRY_FIGURES[chemistry];
	const rate = clause.dischargeCRate ?? USUAL_CONDITIONS.dischargeCRate;
	const warm = clause.temperatureC ?? USUAL_CONDITIONS.temperatureC;
	const cutoff = clause.cutoffV ?? dischargeLimitV;
	const rest = clause.restH ?? USUAL_CONDITIONS.restH;
	const tick = (asked: Asked, state: Tick['state'], wanted: string, was: string | null): Tick => ({
		asked,
		state,
		wanted,
		was
	});
	const departs = run.tooFar ? 'void' : 'corrected';
	const cRate = run.cRate === null ? null : Math.abs(run.cRate);
	return [
		tick(
			'full',
			run.startedFull === null ? 'unknown' : run.startedFull ? 'kept' : 'void',
			`charged to ${(clause.chargeV ?? chargeLimitV).toFixed(2)} V and its tail`,
			run.startedFull === null ? null : run.startedFull ? 'full' : 'not full'
		),
		tick(
			'rested',
			run.restH === null ? 'unknown' : run.restH >= rest - LIKE.restH ? 'kept' : 'corrected',
			`${rest.toFixed(1)} h`,
			run.restH === null ? null : `${run.restH.toFixed(1)} h`
		),
		tick(
			'rate',
			cRate === null ? 'unknown' : Math.abs(cRate / rate - 1) <= LIKE.rate ? 'kept' : departs,
			`${rate.toFixed(2)} C`,
			cRate === null ? null : `${cRate.toFixed(2)} C`
		),
		tick(
			'temperature',
			run.temperatureC === null ? 'unknown' : Math.abs(run.temperatureC - warm) <= LIKE.temperatureC ? 'kept' : departs,
			`${warm.toFixed(0)} °C`,
			run.temperatureC === null ? null : `${run.temperatureC.toFixed(0)} °C`
		),
		tick(
			'cutoff',
			run.endedEarly ? 'void' : run.cutoffV === null ? 'unknown' : run.cutoffV > cutoff + OTHER_END_V ? 'void' : 'kept',
			`${cutoff.toFixed(2)} V`,
			run.endedEarly ? 'broken off' : run.cutoffV === null ? null : `${run.cutoffV.toFixed(2)} V`
		),
		tick('tester', run.tester === null ? 'unknown' : 'kept', 'a known tester', run.tester)
	];
}

/** A run answers a clause when nothing of its protocol is void. */
export const answersClause = (strip: readonly Tick[]): boolean => strip.every((t) => t.state !== 'void');

/** The clause a result is held against: the least that was promised. Null without clauses. */
export const bindingClause = <C extends Clause>(clauses: readonly C[]): C | null =>
	CLAUSE_KINDS.map((kind) => clauses.find((c) => c.kind === kind)).find((c) => c !== undefined) ?? null;
