/** Which column of a log is what, and the factor from its unit to seconds, volts and amperes (positive factor only). */
export interface LogColumn {
	index: number;
	header: string;
	unit: string;
	factor: number;
	/** The header named the unit; otherwise it was judged from the size of the values. */
	unitStated: boolean;
}

export interface LogColumns {
	time: LogColumn;
	voltage: LogColumn;
	current: LogColumn;
}

type Role = keyof LogColumns;

const ROLE_WORDS: Record<Role, RegExp> = {
	time: /^(.*[^a-z])?(time|times?tamp|date|datetime|date time|elapsed|seconds?|duration|zeit|zeitstempel|temps|tiempo|clock|t|sec|s|ms|min|h)([^a-z].*)?$/,
	voltage: /^(.*[^a-z])?(volts?|voltage|spannung|tension|voltaje|u|v|mv|vbat|vcell|ubat)([^a-z].*)?$/,
	current: /^(.*[^a-z])?(current|amps?|amperes?|strom|courant|corriente|i|a|ma|ibat)([^a-z].*)?$/
};
/** Columns that carry a voltage or current word but are something else. */
const NOT_THESE = /capacity|energy|power|\bm?ah\b|\bm?wh\b|cycle|step|temp(?!s)|soc|resist|status|mode/;

const UNIT_FACTORS: Record<Role, Record<string, number>> = {
	time: {
		ms: 0.001,
		msec: 0.001,
		s: 1,
		sec: 1,
		secs: 1,
		second: 1,
		seconds: 1,
		min: 60,
		mins: 60,
		minutes: 60,
		h: 3600,
		hr: 3600,
		hour: 3600,
		hours: 3600
	},
	voltage: { mv: 0.001, v: 1, volt: 1, volts: 1 },
	current: { ma: 0.001, a: 1, amp: 1, amps: 1, ampere: 1, amperes: 1 }
};

const plain = (header: string) => header.trim().toLowerCase().replace(/_/g, ' ');

function statedUnit(header: string, role: Role): { unit: string; factor: number } | null {
	for (const word of plain(header)
		.split(/[^a-zµ]+/)
		.reverse()) {
		const factor = UNIT_FACTORS[role][word];
		if (factor !== undefined) return { unit: word, factor };
	}
	return null;
}

/**
 * Finds time, voltage and current among the headers of one row, in the usual spellings and units.
 * @returns null unless all three are found, each in a column of its own
 */
export function findColumns(headers: readonly string[]): LogColumns | null {
	const pick = (role: Role): LogColumn | null => {
		const index = headers.findIndex((h) => ROLE_WORDS[role].test(plain(h)) && !NOT_THESE.test(plain(h)));
		if (index < 0) return null;
		const stated = statedUnit(headers[index]!, role);
		return {
			index,
			header: headers[index]!.trim(),
			unit: stated?.unit ?? '',
			factor: stated?.factor ?? 1,
			unitStated: stated !== null
		};
	};
	const time = pick('time');
	const voltage = pick('voltage');
	const current = pick('current');
	if (!time || !voltage || !current) return null;
	return new Set([time.index, voltage.index, current.index]).size === 3 ? { time, voltage, current } : null;
}
