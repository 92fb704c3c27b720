/** What has a day, ISO text, by calendar years: the latest year, and in it the latest day, first. */
export function byYear<Entry extends { at: string }>(entries: readonly Entry[]): { year: string; entries: Entry[] }[] {
	const years = new Map<string, Entry[]>();
	for (const entry of [...entries].sort((a, b) => b.at.localeCompare(a.at))) {
		const year = entry.at.slice(0, 4);
		years.set(year, [...(years.get(year) ?? []), entry]);
	}
	return [...years].map(([year, own]) => ({ year, entries: own }));
}
