import type { LivePhase } from '$lib/core/live-run';
import { instruments, type LiveInstrument, type LiveRole, type LiveRun } from '../../db/tables';
import type { Driver, InstrumentReading } from '../../instruments/driver';
import type { Link } from '../../instruments/link';
import { linkTo } from '../instrument-service';

/** The lines a live run uses, by what they do in it. */
export type LiveLinks = Partial<Record<LiveRole, { link: Link; calibration: LiveInstrument }>>;

export async function openLinks(run: Pick<LiveRun, 'instruments'>): Promise<LiveLinks> {
	const links: LiveLinks = {};
	for (const calibration of run.instruments)
		links[calibration.role] = { link: linkTo(await instruments.get(calibration.id)), calibration };
	return links;
}

/** The output that drives a phase; null where nothing is driven. */
export const outputOf = (phase: LivePhase | undefined): 'supply' | 'load' | null =>
	phase?.kind === 'charge' ? 'supply' : phase?.kind === 'discharge' ? 'load' : null;

/** Sets the phase's output to its values and switches it on, with the instrument's own watchdog where it has one. */
export async function driveOutput(links: LiveLinks, phase: LivePhase, watchdogS: number): Promise<void> {
	const role = outputOf(phase);
	if (!role || (phase.kind !== 'charge' && phase.kind !== 'discharge')) return;
	const setting =
		phase.kind === 'charge'
			? { voltageV: phase.voltageV, currentA: phase.currentA }
			: { voltageV: phase.cutoffV, currentA: phase.currentA };
	await links[role]!.link.useNow(async (driver: Driver) => {
		await driver.set!(setting, watchdogS);
		await driver.switchOutput!(true);
	});
}

/** Switches every output of a run off. @returns those that could not be reached */
export async function allOff(links: LiveLinks): Promise<LiveRole[]> {
	const unreached: LiveRole[] = [];
	for (const role of ['supply', 'load'] as const) {
		const line = links[role];
		if (!line) continue;
		await line.link.useNow((driver) => driver.switchOutput!(false)).catch(() => unreached.push(role));
	}
	return unreached;
}

/** What the instruments of a phase show at one moment. @throws InstrumentError */
export interface PhaseReading {
	main: InstrumentReading;
	meter: InstrumentReading | null;
}

/** Reads the instruments a phase is followed by: its output, or at rest the load or the voltmeter, in a watch BMS and shunt. */
export async function readPhase(links: LiveLinks, phase: LivePhase): Promise<PhaseReading> {
	const order: LiveRole[] =
		phase.kind === 'watch' ? ['bms', 'shunt', 'voltmeter'] : [outputOf(phase) ?? 'load', 'voltmeter'];
	const [first, second] = order.flatMap((role) => links[role] ?? []);
	const main = await first.link.use((driver) => driver.read());
	const meter = second ? await second.link.use((driver) => driver.read()) : null;
	return { main, meter };
}
