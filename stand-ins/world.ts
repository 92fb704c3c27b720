import { advanceBench, openBench, type Bench, type Scenario } from '$lib/core/world/bench';
import { CoreError } from '$lib/core/foundation/errors';

/** The one world all stand-ins measure, moving on with the clock. */
export interface World {
	/** The bench as it is now; moved on to this moment. @throws CoreError while no scenario is loaded */
	bench(): Bench;
	/** The scenario's clock, ms since 1970; null while none is loaded. */
	clockMs(): number | null;
	timeFactor(): number;
	setTimeFactor(factor: number): void;
	/** Somebody has spoken to an instrument whose output can be on, or watches what flows by BMS or shunt. */
	heard(): void;
	/** Somebody does something at the bench, or reads an instrument: time goes on. */
	touched(): void;
	/** Lets the world go on by so many of its own seconds at once. */
	skip(durationS: number): void;
	load(scenario: Scenario): void;
	replace(bench: Bench, clockMs: number): void;
}

/** A machine that slept does not owe the world more than this at once, s of the world. */
const MAX_OWED_S = 2 * 3600;

/**
 * Time that runs faster waits for whoever watches an output: it goes no further than this between two messages to a supply or
 * load that is on, neither in seconds nor in what a cell's charge has moved by (fraction). Otherwise a busy computer would
 * over-charge simulated cells, or miss the end of a discharge, which no real bench would do.
 */
const MAX_UNHEARD = { durationS: 300, charge: 0.01 };
/** How far it goes before it looks again, s. */
const LOOK_EVERY_S = 10;

/** With everything off and nobody at the bench, time goes on so long, and then stands still, real ms: reading a screen costs no days. */
const IDLE_AFTER_MS = 10_000;

/** @param now real clock, ms */
export function createWorld(now: () => number): World {
	let bench: Bench | null = null;
	let startMs = 0;
	let factor = 1;
	let caughtUpMs = now();
	let touchedMs = now();
	let unheardS = 0;
	let heardSoc = new Float64Array();

	function heardNow(): void {
		unheardS = 0;
		heardSoc = bench ? bench.cells.soc.slice() : new Float64Array();
	}
	const isHeld = ({ supply, load, cells }: Bench) =>
		factor > 1 &&
		(supply.on || load.on) &&
		(unheardS >= MAX_UNHEARD.durationS || heardSoc.some((z, i) => Math.abs(cells.soc[i]! - z) > MAX_UNHEARD.charge));

	function catchUp(): void {
		const passedMs = now() - caughtUpMs;
		const isDriven = bench !== null && (bench.supply.on || bench.load.on);
		// At its own pace a bench is like any other; faster time waits for whoever is away from it.
		const waits = factor > 1 && !isDriven;
		const elapsedMs = waits ? Math.min(passedMs, Math.max(0, touchedMs + IDLE_AFTER_MS - caughtUpMs)) : passedMs;
		caughtUpMs += passedMs;
		if (!bench || elapsedMs <= 0) return;
		let owedS = Math.min(MAX_OWED_S, (elapsedMs / 1000) * factor);
		while (owedS > 0 && !isHeld(bench)) {
			const driven = bench.supply.on || bench.load.on;
			const durationS = driven && factor > 1 ? Math.min(owedS, LOOK_EVERY_S) : owedS;
			advanceBench(bench, durationS);
			unheardS += durationS;
			owedS -= durationS;
		}
	}
	return {
		bench() {
			catchUp();
			if (!bench) throw new CoreError('no-world', 'world', 'No scenario is loaded: there is nothing on the bench.');
			return bench;
		},
		clockMs() {
			catchUp();
			return bench ? startMs + bench.timeS * 1000 : null;
		},
		timeFactor: () => factor,
		setTimeFactor(wanted) {
			catchUp();
			factor = wanted;
		},
		heard() {
			catchUp();
			touchedMs = now();
			heardNow();
		},
		touched() {
			catchUp();
			touchedMs = now();
		},
		skip(durationS) {
			catchUp();
			if (bench) advanceBench(bench, durationS);
			caughtUpMs = now();
		},
		load(scenario) {
			bench = openBench(scenario);
			startMs = now();
			caughtUpMs = now();
			touchedMs = now();
			factor = scenario.timeFactor;
			heardNow();
		},
		replace(saved, clockMs) {
			bench = saved;
			startMs = clockMs - saved.timeS * 1000;
			caughtUpMs = now();
			touchedMs = now();
			factor = saved.scenario.timeFactor;
			heardNow();
		}
	};
}
