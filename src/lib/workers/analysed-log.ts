import { analyseLog, parseLog, type RunAnalysis, type RunOptions, type RunSamples } from '$lib/core/test/log';

export interface AnalysedLog {
	analysis: RunAnalysis;
	/** Of the run itself, for keeping. */
	samples: RunSamples | null;
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
	const { analysis, samples } = analyseLog(log, options);
	return { analysis, samples: keep ? samples : null };
}
