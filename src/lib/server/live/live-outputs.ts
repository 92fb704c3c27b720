import type { LivePhase } from '$lib/core/foundation/live-run';
import { instruments, type LiveInstrument, type LiveRole, type LiveRun } from '../records';
import type { Driver, InstrumentReading } from '../instruments/driver';
import type { Link } from '../instruments/link';
import { linkTo } from '../address-book/instruments';

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

/** The instrument's own watchdog waits this many times as long as ours: ours can say why. */
export const WATCHDOG_FACTOR = 2;

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
		const tell = () => line.link.attemptOnce((driver) => driver.switchOutput!(false));
		// One lost answer is no instrument out of reach.
		await tell()
			.catch(tell)
			.catch(() => unreached.push(role));
	}
	return unreached;
}

/** Outputs that could not be reached and are still to be switched off, by instrument. */
const chased = new Map<number, { stopped: boolean }>();
const CHASE_EVERY_MS = 1000;

/**
 * Goes on trying to switch outputs off: an instrument that was away comes back as it was left. Ends when it has worked, or when
 * somebody drives the instrument anew ({@link stopRetrying}). @param off called for each output that is off at last
 */
export function retryOff(links: LiveLinks, roles: readonly LiveRole[], off: (name: string) => void): void {
	for (const role of roles) {
		const { link, calibration } = links[role]!;
		const own = { stopped: false };
		stopChase(calibration.id);
		chased.set(calibration.id, own);
		void chase(link, own).then((isOff) => {
			if (!isOff) return;
			chased.delete(calibration.id);
			off(calibration.name);
		});
	}
}

/** Before these instruments are driven again. */
export function stopRetrying(links: LiveLinks): void {
	for (const { calibration } of Object.values(links)) stopChase(calibration.id);
}

function stopChase(instrumentId: number): void {
	const own = chased.get(instrumentId);
	if (own) own.stopped = true;
	chased.delete(instrumentId);
}

/** One attempt after the other. @returns whether it is off; false when the chase was stopped first */
async function chase(link: Link, own: { stopped: boolean }): Promise<boolean> {
	for (;;) {
		await new Promise((done) => setTimeout(done, CHASE_EVERY_MS).unref());
		if (own.stopped) return false;
		const isOff = await link
			.attemptOnce((driver) => driver.switchOutput!(false))
			.then(
				() => true,
				() => false
			);
		if (isOff) return !own.stopped;
	}
}

/** What the instruments of a phase show at one moment. @throws InstrumentError */
export interface PhaseReading {
	main: InstrumentReading;
	mainRole: LiveRole;
	meter: InstrumentReading | null;
	meterRole: LiveRole | null;
	/** Shunt and BMS in the circuit of a driven phase: they read the same current. */
	others: { role: LiveRole; reading: InstrumentReading }[];
}

/** Reads the instruments a phase is followed by: its output, or at rest the load or the voltmeter, in a watch BMS and shunt. */
export async function readPhase(links: LiveLinks, phase: LivePhase): Promise<PhaseReading> {
	const order: LiveRole[] =
		phase.kind === 'watch' ? ['bms', 'shunt', 'voltmeter'] : [outputOf(phase) ?? 'load', 'voltmeter'];
	const [mainRole, meterRole = null] = order.filter((role) => links[role]);
	const read = (role: LiveRole) => links[role]!.link.use((driver) => driver.read());
	return {
		main: await read(mainRole!),
		mainRole: mainRole!,
		meter: meterRole ? await read(meterRole) : null,
		meterRole,
		others: outputOf(phase) ? await readOthers(links) : []
	};
}

/** One that does not answer is left out: the run is counted by its output, and goes on. */
async function readOthers(links: LiveLinks): Promise<PhaseReading['others']> {
	const roles = (['shunt', 'bms'] as const).filter((role) => links[role]);
	const readings = await Promise.all(
		roles.map((role) =>
			links[role]!.link.use((driver) => driver.read()).then(
				(reading) => [{ role, reading }],
				() => []
			)
		)
	);
	return readings.flat();
}
