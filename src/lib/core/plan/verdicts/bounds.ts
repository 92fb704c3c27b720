/** What one and two people lift, kg (default). */
export const LIFT_KG = { one: 23, two: 40 } as const;
/** Figures within this share of each other are the same, rounded. */
export const LABEL_AGREES = 0.03;
/** Fewer days than this end empty: hardly ever (default). */
export const HARDLY_EVER = 0.01;
