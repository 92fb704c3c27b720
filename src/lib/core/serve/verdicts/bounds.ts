/** A drift grows when so many checks say so, by so much of a group a year, and chance says it of any group so rarely (default). */
export const GROWS = { checks: 3, chance: 0.02, sharePerYear: 0.001 };
/** However fine a check reads, where in the taper it was read moves it by so much of the capacity, one sd (default). */
export const MIN_SHARE_A_CHECK = 0.0015;
/** Resistance of sound groups that have worked for years differs by this share of a new one's, one sd (default). */
export const WORN_CELLS_SD = 0.16;
