/** Every order of a short list. */
export const permutations = <T>(list: readonly T[]): T[][] =>
	list.length < 2
		? [[...list]]
		: list.flatMap((first, i) =>
				permutations([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [first, ...rest])
			);
