/**
 * Which cell a log is of, by its file name: the longest label that stands in it by itself (`run H-07 second.csv`, `h07.csv`).
 * @param cells with their labels; @returns null where none, or two of the same length, stand in it
 */
export function cellOfFileName<C extends { label: string }>(fileName: string, cells: readonly C[]): C | null {
	const name = fileName.replace(/\.[^.]*$/, '').toLowerCase();
	const found = cells
		.filter(({ label }) => {
			const spelt = label.toLowerCase().replace(/[^a-z0-9]+/g, '[^a-z0-9]*');
			return spelt !== '' && new RegExp(`(^|[^a-z0-9])${spelt}([^a-z0-9]|$)`).test(name);
		})
		.sort((a, b) => b.label.length - a.label.length);
	const [first, second] = found;
	return first && second?.label.length !== first.label.length ? first : null;
}
