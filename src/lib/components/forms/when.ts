/** How exactly somebody knows when something was read, and the doubt that stands for, s (half-width). */
export const ROUGHLY = {
	exact: { text: 'exactly', doubtS: null },
	hour: { text: 'give or take an hour', doubtS: 3600 },
	halfDay: { text: 'give or take half a day', doubtS: 43_200 },
	days: { text: 'give or take some days', doubtS: 3 * 86_400 },
	month: { text: 'give or take a month', doubtS: 30 * 86_400 }
} as const satisfies Record<string, { text: string; doubtS: number | null }>;
export type Roughly = keyof typeof ROUGHLY;

/** What a date-and-time field holds (local time), as ISO 8601; null where it holds no moment. */
export function momentOf(typed: string): string | null {
	const ms = typed ? new Date(typed).getTime() : NaN;
	return Number.isNaN(ms) ? null : new Date(ms).toISOString();
}
