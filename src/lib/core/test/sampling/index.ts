export { capacityOfTheRest, chanceOfAtMost, chanceOfDeciding, mostBad, testsNeeded, toleranceFactor } from './sampling';
export { type SampledCell, whatSampleSays } from './what-sample-says';
