export { type Interval, intervalOf } from './interval';
export { type Random, chiSquareShare, normalDraw, seededRandom } from './random';
export { chiSquareQuantile, chiSquareTail, mean, median, normalCdf, normalQuantile, robustSd } from './statistics';
export { studentHalf95 } from './student';
