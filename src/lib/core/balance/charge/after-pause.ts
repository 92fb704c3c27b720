/** What somebody comes back to after a balance was left lying. */
export interface AfterPause {
	/** Since the last step or reading. */
	days: number;
	since: string;
	/** What is otherwise than when it was left. */
	changed: PauseChange[];
	/** What to check before it goes on, most dangerous first. */
	checks: PauseCheck[];
}
export interface PauseChange {
	kind: 'stopped' | 'left' | 'new' | 'tested' | 'read';
	cells: readonly string[];
}
export type PauseCheck = 'links' | 'empty' | 'leads-loose' | 'set-voltage' | 'polarity' | 'voltages' | 'joints';

interface PausedCell {
	label: string;
	/** Still in play for this bank. */
	isThere: boolean;
	hasStop: boolean;
	/** Latest reading and run; null: none. */
	readAt: string | null;
	testedAt: string | null;
}

export interface PausedBalance {
	/** Of the last step or reading. */
	lastAt: string;
	nowIso: string;
	cells: readonly PausedCell[];
	/** In play now, and not among those. */
	newcomers: readonly string[];
	how: 'parallel' | 'series' | 'emptied' | 'other';
}

/** Shorter is no pause, days (default). */
const A_PAUSE_DAYS = 2;
const DAY_MS = 86_400_000;

/** What has changed since a balance was left lying, and what to check first. Null where it was not left for two days. */
export function afterPause({ lastAt, nowIso, cells, newcomers, how }: PausedBalance): AfterPause | null {
	const days = (Date.parse(nowIso) - Date.parse(lastAt)) / DAY_MS;
	if (!(days >= A_PAUSE_DAYS)) return null;
	const labels = (of: (c: PausedCell) => boolean) => cells.filter(of).map((c) => c.label);
	const isAfter = (at: string | null) => at !== null && Date.parse(at) > Date.parse(lastAt);
	const changes: PauseChange[] = [
		{ kind: 'stopped', cells: labels((c) => c.hasStop) },
		{ kind: 'left', cells: labels((c) => !c.isThere) },
		{ kind: 'new', cells: newcomers },
		{ kind: 'tested', cells: labels((c) => isAfter(c.testedAt)) },
		{ kind: 'read', cells: labels((c) => isAfter(c.readAt) && !isAfter(c.testedAt)) }
	];
	return {
		days,
		since: lastAt,
		changed: changes.filter((c) => c.cells.length > 0),
		checks: [
			...(how === 'series' ? (['links'] as const) : []),
			...(how === 'emptied' ? (['empty'] as const) : []),
			...(how === 'parallel' ? (['leads-loose', 'set-voltage'] as const) : []),
			...(newcomers.length ? (['polarity'] as const) : []),
			'voltages',
			...(how === 'parallel' || how === 'series' ? (['joints'] as const) : [])
		]
	};
}
