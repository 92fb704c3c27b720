export {
	capacityOfTheRest,
	chanceOfAtMost,
	chanceOfDeciding,
	mostBad,
	testsNeeded,
	toleranceFactor,
	type Sample,
	type Tolerance
} from './sampling';
export { whatSampleSays, type SampleSays, type SampledCell } from './what-sample-says';
