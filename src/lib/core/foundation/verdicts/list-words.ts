/** Numbers as a person says them: `1, 2 and 5`. */
export const listWords = (items: readonly (number | string)[]): string =>
	items.length < 2 ? String(items[0] ?? '') : `${items.slice(0, -1).join(', ')} and ${items[items.length - 1]}`;
