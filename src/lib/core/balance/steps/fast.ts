import { KNEE_V, mostOfOneCellV } from '../../foundation/chemistry';
import { judgeLinksOff } from '../links';
import type { Interval } from '../../foundation/statistics';
import { snapshotBounds } from '../../foundation/snapshot';
import { cellSubject } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { notAtTail, ofStep, step, type FollowMethod, wasAtTail } from './method';
import type { MethodEntry, MethodWorld } from '../../picture';

/** The tail of a charge in parallel, h (default). */
const TAPER_H = 3;
/** What is left to full where the first one tripped, share of a group (default). */
const TO_FULL = 0.02;
const UNKNOWN_SUPPLY_A = 20;

/** What is missing in all cells together when the first is full, Ah. */
function missingAh({ series, groupAh, ...world }: MethodWorld, { volts, currentA }: MethodEntry) {
	const { driftAh, apartAh } = snapshotBounds({ ...world, groupAh, groupVoltagesV: volts!, currentA: currentA ?? 0 });
	const first = volts!.indexOf(Math.max(...volts!));
	const ahead = driftAh[first]!;
	const topUp = series * TO_FULL * groupAh;
	const of = (ah: number) => Math.max(0, ah) * (series - 1);
	const missing: Interval = {
		low95: of(ahead.low95),
		likely: of(ahead.likely) + topUp / 2,
		high95: of(ahead.high95) + topUp
	};
	return { first, apartAh, missing };
}

/**
 * Fast balance: charged in series by the whole string's charger until the BMS stops at the first full group; then no cell is joined to another
 * before every series link is proved off; then side by side, for what the others lack.
 */
export const followFast: FollowMethod = (run, world) => {
	const began = ofStep(run, 'began')[0] ?? null;
	const trip = ofStep(run, 'tripped').at(-1) ?? null;
	const proof = trip
		? (run.entries.filter((e) => e.step === 'links-read' && e.doneAt >= trip.doneAt).at(-1) ?? null)
		: null;
	const finished = ofStep(run, 'finished').at(-1) ?? null;
	const links = judgeLinksOff(
		world.chemistry,
		proof?.volts?.length === world.series - 1 ? proof.volts : Array<null>(Math.max(1, world.series - 1)).fill(null),
		{ balancePlugOut: proof?.asked === true, meterProved: proof?.asked === true },
		world.subject
	);
	const off = trip !== null && links.code === 'links-off';
	const members = run.cells.map(cellSubject);
	const oneCellV = mostOfOneCellV(world.chemistry);
	const tripStep = step(
		'tripped',
		'When the BMS stops the charge: read every group at once, before they sink, position 1 first; and what went in.',
		['volts'],
		{ also: ['currentA', 'ah'], count: world.series, mostV: oneCellV }
	);
	const base = { due: [], locksJoining: began !== null && !off };
	if (!began)
		return {
			...base,
			done: false,
			verdicts: [say('fast-not-begun', 'open', world.subject, { groups: world.series })],
			next: [
				step(
					'began',
					`Build the string with its BMS and balance leads, the charger${run.setup.currentA ? ` at ${run.setup.currentA} A,` : ''} set to ${(world.series * (world.chargeLimitV - 0.05)).toFixed(1)} V at most. Write down the amperes when it begins.`,
					['currentA']
				)
			]
		};
	if (!trip)
		return {
			...base,
			done: false,
			verdicts: [say('fast-charging', 'calm', world.subject, { groups: world.series, currentA: began.currentA ?? 0 })],
			next: [tripStep]
		};
	const { first, apartAh, missing } = missingAh(world, trip);
	const topV = Math.max(...trip.volts!);
	const supplyA = run.setup.cellSupplyA ?? UNKNOWN_SUPPLY_A;
	const cells = Math.max(run.cells.length, world.series);
	const hours = (ah: number) => ah / supplyA + TAPER_H;
	const savedH =
		trip.ah === null ? null : (trip.ah * world.series) / supplyA - trip.ah / Math.max(0.1, began.currentA ?? supplyA);
	const tripped =
		topV < KNEE_V[world.chemistry]
			? say('fast-false-trip', 'look', world.subject, { topV, kneeV: KNEE_V[world.chemistry] })
			: say(
					'fast-tripped',
					'calm',
					world.subject,
					{
						first: first + 1,
						topV,
						apartAh,
						missingAh: missing,
						hours: { low95: hours(missing.low95), likely: hours(missing.likely), high95: hours(missing.high95) },
						supplyA,
						savedH,
						cells
					},
					members
				);
	const full =
		finished !== null &&
		wasAtTail(world, { cellV: finished.voltageV, currentA: finished.currentA, cells, cellAh: world.cellAh });
	const falseTrip = topV < KNEE_V[world.chemistry];
	// Ended is not done: only what was read at its tail is.
	if (off && full && !falseTrip) return { ...base, verdicts: [], next: [], done: true };
	const notFull = finished && !full ? [notAtTail(world, finished, cells)] : [];
	return {
		...base,
		done: false,
		verdicts: [off || links.warmth === 'stop' ? links : { ...links, warmth: 'look' as const }, tripped, ...notFull],
		next: [
			...(falseTrip ? [tripStep] : []),
			off
				? step(
						'finished',
						'Charge all side by side to the tail, and log it there. At its end: volts at the cells and amperes of the supply.',
						['voltageV', 'currentA'],
						{ mostV: oneCellV }
					)
				: step(
						'links-read',
						`Charger off. Take every series link off, then read across each pair of neighbours, far minus to far plus: ${world.series - 1} readings.`,
						['volts'],
						{
							question: 'Is the balance plug out, and has the meter just read one cell right?',
							count: world.series - 1,
							mostV: 2 * oneCellV
						}
					)
		]
	};
};
