import type { RunOptions } from '$lib/core/test/log';
import { analysedLog, type AnalysedLog } from '$lib/workers/analysed-log';
import { onThread } from './thread';

/** Longest the reading of a log may take, s. */
const MAX_S = 120;
/** A log of so many bytes is read in passing (some 10 ms); a longer one on a thread. */
const IN_PASSING = 128 * 1024;

/** Reads a capacity-run log. The bytes go over to a thread and may be gone here. @throws CoreError when it cannot be read */
export async function analyseOnThread(
	bytes: Uint8Array<ArrayBuffer>,
	options: RunOptions,
	keep: boolean,
	signal: AbortSignal
): Promise<AnalysedLog> {
	const data = { bytes, options, keep };
	if (bytes.byteLength <= IN_PASSING) return analysedLog(data);
	// A view into a shared buffer cannot go over by itself.
	const own = bytes.byteLength === bytes.buffer.byteLength ? bytes : bytes.slice();
	return onThread({
		file: 'log-thread',
		what: 'logs',
		data: { ...data, bytes: own },
		signal,
		mostS: MAX_S,
		transfer: [own.buffer]
	});
}
