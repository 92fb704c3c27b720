import type { Correction, LogFault } from '$lib/core/picture';
import { createRepository, type Recorded } from '../../db/repository';

export type Run = Recorded & {
	cellId: number;
	source: 'log' | 'hand' | 'live';
	capacityAh: number;
	sdAh: number | null;
	energyWh: number | null;
	meanVoltageV: number | null;
	currentA: number | null;
	cRate: number | null;
	durationS: number | null;
	endVoltageV: number | null;
	temperatureC: number | null;
	/** Run at this temperature on purpose; null: at that of the room. */
	heldAtC: number | null;
	cutoffV: number | null;
	powerW: number | null;
	restS: number | null;
	startedFull: boolean | null;
	testedDoubtS: number | null;
	testedAt: string;
	tester: string | null;
	/** The load of a live run, which counted it; null: it was not live. */
	instrumentId: number | null;
	leadOhm: number | null;
	correctionsOff: Correction[] | null;
	fileName: string | null;
	faults: LogFault[] | null;
};
export const runs = createRepository<Run>('runs', 'capacity run', 'testedAt', {
	json: ['faults', 'correctionsOff']
});
