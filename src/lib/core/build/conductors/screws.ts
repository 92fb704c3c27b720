import { requireNotNegative, requirePositive } from '../../foundation/errors';

/** A bolt into a threaded terminal, mm. */
export interface ScrewInput {
	/** Nominal diameter, 6 of M6. */
	diameterMm: number;
	lengthMm: number;
	/** Bars, rings and washers under its head. */
	stackMm: number;
	/** All the thread there is in the terminal. */
	threadMm: number;
}

export interface ScrewFit {
	/** Thread in thread, as the bolt is: never more than all there is less 1 mm. */
	engagementMm: number;
	/** The same in diameters. */
	diameters: number;
	/** `bottoms`: it meets the ground of the hole before it clamps. `stop` below 0.7, `warn` below 1.0, `short` below 1.5 diameters. */
	fit: 'good' | 'short' | 'warn' | 'stop' | 'bottoms';
	/** The length that takes all the thread there is, less 1 mm. */
	wantedLengthMm: number;
}

/** Left free at the ground of the hole, mm. */
const GROUND_MM = 1;
/** Diameters of thread in aluminium (default). */
const WANTED = 1.5;
const MIN = 1;
const NEVER_BELOW = 0.7;

/** How much thread holds. @throws CoreError `not-positive`, `negative` */
export function screwFit({ diameterMm, lengthMm, stackMm, threadMm }: ScrewInput): ScrewFit {
	requirePositive(diameterMm, 'diameterMm');
	requirePositive(lengthMm, 'lengthMm');
	requireNotNegative(stackMm, 'stackMm');
	requirePositive(threadMm, 'threadMm');
	const most = Math.max(0, threadMm - GROUND_MM);
	const reach = lengthMm - stackMm;
	const engagementMm = Math.max(0, Math.min(reach, most));
	const diameters = engagementMm / diameterMm;
	const byThread = diameters < NEVER_BELOW ? 'stop' : diameters < MIN ? 'warn' : diameters < WANTED ? 'short' : 'good';
	return { engagementMm, diameters, fit: reach > threadMm ? 'bottoms' : byThread, wantedLengthMm: stackMm + most };
}
