export type { CapacityObservation } from './cycle-histories';
export { HORIZON_YEARS, fadeMeanwhile, projectFade, type FadeInput, type FadePoint, type FadeProjection } from './fade';
export { narrowestInterval, weightedQuantiles } from './draw-quantiles';
export { FADE_PRIOR, type FadeObservation } from './fade-law';
export { fadePosterior, type FadeDraws } from './fade-posterior';
export { calendarFactor, endIfKept, type KeptOtherwise } from './fade-what-if';
export { EFC_PER_YEAR, gainWorth, yearsToEnd, type Gain } from './gain-worth';
