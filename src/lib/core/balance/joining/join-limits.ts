/** Joining current above this C-rate of the smallest cell is refused (default). */
export const JOIN_C_RATE = 0.5;
/** What a meter nobody described may err between two readings of one cell, one sd, V. */
export const JOIN_METER_SD_V = 0.002;

/** A bar and its two joints, Ω: 0.1 to 0.4 mΩ (default). */
export const USUAL_LINK_OHM = 0.00023;
/** What is not known of it, sd of the logarithm. */
export const USUAL_LINK_SD = 0.32;

/** A 1 kHz meter reads about this share of what limits the first instant (default). */
const AC_SHARE = 0.7;

/** What limits the current of the first instant, Ω, by the reading of a 1 kHz meter, mΩ. */
export const instantOhm = (acMohm: number): number => acMohm / 1000 / AC_SHARE;
