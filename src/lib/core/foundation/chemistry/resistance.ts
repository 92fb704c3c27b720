/** Instant resistance of a cell, Ω·Ah (default for large prismatic cells), and what a load that lasts adds to it, as a share. */
export const INSTANT_OHM_AH = 0.05;
export const SLOW_SHARE = 0.6;
/** What a load that has lasted some minutes sees of a cell, Ω·Ah. */
export const LOADED_OHM_AH = INSTANT_OHM_AH * (1 + SLOW_SHARE);
