/** How a cell was while its voltage was read. */
export const READ_STATES = ['loose', 'joined', 'series', 'end-of-charge', 'under-load'] as const;
export type ReadState = (typeof READ_STATES)[number];

export const READ_STATE_NAMES: Record<ReadState, string> = {
	loose: 'loose',
	joined: 'joined in parallel',
	series: 'in series',
	'end-of-charge': 'at the end of a charge',
	'under-load': 'under load'
};
