/** How much of the cells a person wants to use, against how long they should last. */
export const STRATEGIES = ['full-span', 'middle-road', 'long-life'] as const;

export type Strategy = (typeof STRATEGIES)[number];

export const OUTPUT_CORNERS = ['front-left', 'front-right', 'back-left', 'back-right'] as const;

export type OutputCorner = (typeof OUTPUT_CORNERS)[number];
