import { analyseLog, parseLog, type RunAnalysis, type RunOptions } from '$lib/core/capacity-run';

export interface AnalysedLog {
	analysis: RunAnalysis;
	/** Seconds from the first sample, volts, amperes with the sign turned where the log had it the other way; for keeping. */
	samples: { timeS: Float64Array; voltageV: Float64Array; currentA: Float64Array } | null;
}

export interface LogWork {
	bytes: Uint8Array;
	options: RunOptions;
	/** Gives the samples too. */
	keep: boolean;
}

/** What the bytes of a capacity-run log say. @throws CoreError when they cannot be read as one */
export function analysedLog({ bytes, options, keep }: LogWork): AnalysedLog {
	const log = parseLog(new TextDecoder().decode(bytes));
	const analysis = analyseLog(log, options);
	const turned = analysis.faults.some((f) => f.code === 'sign-flipped');
	const { timeS, voltageV } = log;
	const currentA = turned ? log.currentA.map((a) => -a) : log.currentA;
	return { analysis, samples: keep ? { timeS, voltageV, currentA } : null };
}
