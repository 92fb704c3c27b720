/** Every way of balancing, and what it is called. */
export const METHOD_NAMES = {
	top: 'Top, in parallel',
	fast: 'Fast, in series first',
	bottom: 'Bottom',
	balancer: 'By the balancer',
	'ready-made': 'Ready-made batteries',
	none: 'Not at all'
} as const;
export type Method = keyof typeof METHOD_NAMES;

/** Those that cells may be balanced by, to choose from. */
export const METHODS_TO_CHOOSE = ['top', 'fast', 'bottom', 'balancer', 'none'] as const satisfies readonly Method[];
export type ChosenMethod = (typeof METHODS_TO_CHOOSE)[number];

/** Those that go step by step through entries by hand; the parallel charge has a log of its own. */
export const METHOD_KINDS = ['fast', 'bottom', 'balancer', 'ready-made'] as const satisfies readonly Method[];
export type MethodKind = (typeof METHOD_KINDS)[number];
