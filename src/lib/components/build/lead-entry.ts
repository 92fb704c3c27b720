/** Readings as they stand in the boxes of the leads: blank where one was not read. */
export const typedVolts = (readingsV: readonly (number | null)[] | null, leads: number): string[] =>
	Array.from({ length: leads }, (_, k) => {
		const volts = readingsV?.[k] ?? null;
		return volts === null ? '' : volts.toFixed(3);
	});

/** A probability as it is read: never 100 % sure, never nothing. */
export function percentText(probability: number): string {
	if (probability > 0.999) return '> 99.9 %';
	if (probability < 0.001) return '< 0.1 %';
	return `${(probability * 100).toFixed(probability > 0.1 && probability < 0.995 ? 0 : 1)} %`;
}
