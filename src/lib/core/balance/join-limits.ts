/** Joining current above this C-rate of the smallest cell is refused (default). */
export const JOIN_C_RATE = 0.5;
/** What a meter nobody described may err between two readings of one cell, one sd, V. */
export const JOIN_METER_SD_V = 0.002;
