import { parseReading } from '$lib/core/foundation/reading';
import { CoreError } from '$lib/core/foundation/errors';

/**
 * Voltages of the groups as they were typed, null where blank.
 * @throws CoreError that names the first that is no voltage
 */
export function voltsTyped(typed: readonly string[], what: string): (number | null)[] {
	return typed.map((text, i) => {
		if (text.trim() === '') return null;
		try {
			return parseReading(text, 'restVoltage').value;
		} catch {
			throw new CoreError('reading-format', 'volts', `${what}, group ${i + 1}: write a voltage like 3.302.`);
		}
	});
}

/** As {@link voltsTyped}, none blank. @throws CoreError that names the first that is missing */
export function allVoltsTyped(typed: readonly string[], what: string): number[] {
	const volts = voltsTyped(typed, what);
	const missing = volts.indexOf(null);
	if (missing >= 0) throw new CoreError('missing', 'volts', `${what}: group ${missing + 1} is not read yet.`);
	return volts as number[];
}
