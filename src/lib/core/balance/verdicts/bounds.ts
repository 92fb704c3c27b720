/** Two tests are alike when load and cut-off are, share and V (default). */
export const COMPARABLE_RUNS = { load: 0.05, cutoffV: 0.1 };
/** Further apart than this share of one they are made level again (default). */
export const REPEAT_AT_SHARE = 0.02;
/** A meter reads so far off without anybody being to blame, V (default). */
export const OVER_LIMIT_METER_V = 0.01;
