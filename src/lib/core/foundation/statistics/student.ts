/** Half-width of the middle 95 % of Student's t, in standard deviations, of one and two degrees (exact). */
const FEW = [12.7062, 4.30265] as const;
const Z = 1.959964;

/**
 * Half-width of the middle 95 % of Student's t, in estimated standard deviations: beyond two degrees the expansion of Cornish and Fisher
 * (Abramowitz & Stegun 26.7.5), within 1 % at three degrees, closer beyond. @param degrees a whole number, 1 or more
 */
export function studentHalf95(degrees: number): number {
	const few = FEW[degrees - 1];
	if (few !== undefined) return few;
	const [z3, z5, z7] = [Z ** 3, Z ** 5, Z ** 7];
	return (
		Z +
		(z3 + Z) / (4 * degrees) +
		(5 * z5 + 16 * z3 + 3 * Z) / (96 * degrees ** 2) +
		(3 * z7 + 19 * z5 + 17 * z3 - 15 * Z) / (384 * degrees ** 3)
	);
}
