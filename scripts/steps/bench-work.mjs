// What others do while something is measured.

/** Sixty cells for 6S8P that differ by a few percent: a search that goes on for as long as it is let. */
export const matching = {
	series: 6,
	parallel: 8,
	robust: true,
	timeLimitS: 5,
	cells: Array.from({ length: 60 }, (_, i) => ({
		id: i,
		capacityAh: 275 + ((i * 7919) % 1000) / 100,
		capacitySdAh: 0.5
	}))
};

/** Does the same again and again, so many at once, until told to stop. @returns how to stop; gives how often it was done */
export function keepDoing(work, atOnce) {
	let going = true;
	let times = 0;
	const loops = Array.from({ length: atOnce }, async (_, at) => {
		while (going) {
			await work(at);
			times++;
		}
	});
	// A failure is heard of when it is stopped.
	const all = Promise.all(loops).finally(() => (going = false));
	all.catch(() => undefined);
	return async () => {
		going = false;
		await all;
		return times;
	};
}
