import type { LivePhase, LiveSample } from '$lib/core/foundation/live-run';
import type { StoredSample } from '../db/stored-sample';
import type { LiveInstrument } from '../records';
import { outputOf, type LiveLinks, type PhaseReading } from './live-outputs';

const corrected = (value: number | null, { voltageOffsetV }: LiveInstrument) =>
	value === null ? null : value - voltageOffsetV;

/** In a watch the shunt knows the current best; otherwise the instrument that drives it. */
const amperesOf = ({ main, meter }: PhaseReading): number => meter?.currentA ?? main.currentA ?? 0;

/** The instruments' figures with their calibration taken out. */
export function toSample(reading: PhaseReading, links: LiveLinks, phase: LivePhase): LiveSample {
	const { main, meter } = reading;
	const { calibration } = links[reading.mainRole]!;
	const gainFrom = meter?.currentA != null ? links[reading.meterRole!]!.calibration : calibration;
	const atTerminals =
		meter && reading.meterRole === 'voltmeter' ? corrected(meter.voltageV, links.voltmeter!.calibration) : null;
	const trueA = (shownA: number, { currentGainPercent }: LiveInstrument) => shownA / (1 + currentGainPercent / 100);
	return {
		atMs: main.atMs,
		voltageV: corrected(main.voltageV, calibration),
		currentA: trueA(amperesOf(reading), gainFrom),
		cellV: atTerminals,
		outputOn: outputOf(phase) ? main.on : null,
		cutOff: main.cutOff === true,
		...(main.setTo ? { setTo: main.setTo } : {}),
		...(outputOf(phase) && main.currentA !== null ? { displayA: main.currentA } : {}),
		alsoRead: reading.others.flatMap(({ role, reading: { currentA } }) =>
			currentA === null ? [] : [{ name: role, currentA: trueA(currentA, links[role]!.calibration) }]
		)
	};
}

/** The same as the instruments showed it, for keeping. */
export const storedOf = (reading: PhaseReading, phase: number): StoredSample => ({
	atMs: reading.main.atMs,
	phase,
	voltageV: reading.main.voltageV,
	currentA: amperesOf(reading),
	cellV: reading.meterRole === 'voltmeter' ? reading.meter!.voltageV : null,
	temperatureC: reading.main.temperatureC,
	groupsV: reading.main.groupV
});
