/** Numbers as a person says them: `1, 2 and 5`. */
export const listWords = (items: readonly (number | string)[]): string =>
	items.length < 2 ? String(items[0] ?? '') : `${items.slice(0, -1).join(', ')} and ${items[items.length - 1]}`;

/** So many of something: `1 cell`, `3 cells`. */
export const countWords = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;
