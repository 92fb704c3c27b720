import type { Question } from '../answer';
import { afterDischarge } from './after-discharge';
import { arrivalCharge } from './arrival-charge';
import { atTemperature } from './at-temperature';
import { bottom } from './bottom';
import { capacity } from './capacity';
import { chargeAccount } from './charge-account';
import { delivery } from './delivery';
import { earlierLots } from './earlier-lots';
import { fade } from './fade';
import { fadeElsewhere } from './fade-elsewhere';
import { fast } from './fast';
import { forecast } from './forecast';
import { growth } from './growth';
import { join } from './join';
import { joints } from './joints';
import { leakage } from './leakage';
import { leads } from './leads';
import { leftAlone } from './left-joined';
import { liveChargeEnd, liveEnd } from './live-end';
import { logs } from './logs';
import { notes } from './notes';
import { parallelCharge } from './parallel-charge';
import { passings } from './passings';
import { sampling } from './sampling';
import { smallestGroup } from './smallest-group';
import { snapshot, stillCharging } from './snapshot';
import { testers, unlikeTesters } from './testers';
import { underLoad } from './under-load';
import { witnesses } from './witnesses';
import { year } from './year';
import { years } from './years';

/** Everything that is asked of every world. A new verdict brings its question here. */
export const QUESTIONS: readonly Question[] = [
	afterDischarge,
	arrivalCharge,
	chargeAccount,
	delivery,
	capacity,
	logs,
	atTemperature,
	earlierLots,
	growth,
	join,
	snapshot,
	stillCharging,
	leads,
	joints,
	underLoad,
	fade,
	fadeElsewhere,
	testers,
	unlikeTesters,
	passings,
	notes,
	liveEnd,
	liveChargeEnd,
	leakage,
	smallestGroup,
	forecast,
	fast,
	parallelCharge,
	leftAlone,
	bottom,
	sampling,
	witnesses,
	year,
	years
];
