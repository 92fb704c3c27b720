/** Whole days, in the order people write them. */
const ALL_DAY = /^(all( day)?|always|0\s*[-–]\s*24)$/i;
const DAY_H = 24;

/** `7, 18–22` from a list of hours: each runs to the next. */
export function hoursText(hours: readonly number[]): string {
	const sorted = [...new Set(hours)].sort((a, b) => a - b);
	if (sorted.length === DAY_H) return 'all day';
	const runs: [number, number][] = [];
	for (const hour of sorted) {
		const last = runs.at(-1);
		if (last && last[1] === hour) last[1] = hour + 1;
		else runs.push([hour, hour + 1]);
	}
	return runs.map(([from, to]) => `${from}–${to}`).join(', ');
}

/**
 * Hours of the day as people write them: `7-9, 18-23`, `22-6` over midnight, `7` for one hour, `all day`.
 * @returns hours 0 … 23 in order; null when it is none of these
 */
export function parseHours(text: string): number[] | null {
	const typed = text.trim();
	if (ALL_DAY.test(typed)) return Array.from({ length: DAY_H }, (_, h) => h);
	if (typed === '') return [];
	const hours = new Set<number>();
	for (const part of typed.split(/[,;]/)) {
		const match = /^\s*(\d{1,2})(?::00)?\s*(?:(?:-|–|to)\s*(\d{1,2})(?::00)?)?\s*$/.exec(part);
		if (!match) return null;
		const from = Number(match[1]);
		const to = match[2] === undefined ? from + 1 : Number(match[2]);
		if (from >= DAY_H || to > DAY_H || to === from) return null;
		for (let h = from; h !== to % DAY_H || h === from; h = (h + 1) % DAY_H) hours.add(h);
	}
	return [...hours].sort((a, b) => a - b);
}
