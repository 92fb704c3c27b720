const REPEATS = 7;

/** Median time of a piece of work in this run, after one run to warm up. */
export function medianMs(work: () => void, repeats = REPEATS): number {
	work();
	const times = Array.from({ length: repeats }, () => {
		const start = performance.now();
		work();
		return performance.now() - start;
	});
	return times.sort((a, b) => a - b)[repeats >> 1]!;
}

let broken = 0;
/** Prints one figure beside its bound. */
export function report(what: string, figure: string, holds: boolean, bound: string): void {
	if (!holds) broken++;
	console.log(`${holds ? 'holds ' : 'BROKEN'}  ${what}: ${figure} (bound: ${bound})`);
}

/** How many bounds did not hold. */
export const brokenBounds = (): number => broken;
