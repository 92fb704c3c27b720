export { CoreError, requireFinite, requireNotNegative, requirePositive } from './core-error';
export { monotoneCurve, type MonotoneCurve } from './pchip';
export { normalDraw, seededRandom, type Random } from './random';
export { mean, median, normalCdf, normalQuantile, robustSd } from './statistics';
export { WARMTHS, warmestFirst, warmestOf, type Warmth } from './warmth';
export { cubicAt, cubicIntegral, cubicSlopeAt, uniformCubic, type UniformCubic } from './uniform-cubic';
export { STAGES, STAGE_NAMES, type Stage, type StageStatus } from './stage';
export type { RunningWork } from './running-work';
export { intervalOf, type Interval } from './interval';
