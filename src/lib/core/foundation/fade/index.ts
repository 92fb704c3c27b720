export { narrowestInterval, weightedQuantiles } from './draw-quantiles';
export type { FadeObservation } from './fade-law';
export { type FadeDraws, fadePosterior } from './fade-posterior';
export { calendarFactor, endIfKept } from './fade-what-if';
export { type FadeInput, type FadeProjection, HORIZON_YEARS, fadeMeanwhile, projectFade } from './fade';
export { EFC_PER_YEAR, type Gain, gainWorth, yearsToEnd } from './gain-worth';
