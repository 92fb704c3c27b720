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
