/** Steps of a parallel top balance before the supply is switched on, in the order they protect. */
export const BALANCE_CHECKLIST: readonly { key: string; text: (setV: string, setA: string) => string }[] = [
	{ key: 'set-loose', text: (v, a) => `Supply set to ${v} V and ${a} A with its leads loose` },
	{ key: 'set-checked', text: (v) => `Set voltage checked with your own meter: ${v} V, not the display` },
	{ key: 'joined', text: () => 'All cells joined plus to plus, minus to minus, polarity by meter' },
	{ key: 'corners', text: () => 'Supply leads on opposite corners of the row' },
	{ key: 'covered', text: () => 'Terminals covered, insulated tools, nothing metal above' },
	{ key: 'attended', text: () => 'Somebody can look in; nothing that burns beside it' }
];
