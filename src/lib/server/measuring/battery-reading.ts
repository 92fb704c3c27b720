import type { Place } from '$lib/core/world/bench';
import type { ReadBatteryInput } from '$lib/input/live';
import { InputError } from '$lib/input/validate';
import { ServiceError } from '../errors';
import { banks, batteries, groups, instruments, placements, type Bank, type Instrument } from '../records';
import { asServiceError, bundledHands, linkTo } from '../address-book/instruments';
import { benchCell, rehearsalOf, takeUpRehearsal, wasReadReversed } from '../rehearsals/bench/bench';

/** What an instrument reads of a battery now. What it does not measure is null; current is positive into the battery. */
export interface BatteryReading {
	atMs: number;
	voltageV: number | null;
	/** Group 1 first. */
	groupsV: number[] | null;
	currentA: number | null;
}

/**
 * Reads a balance lead or a group with a voltmeter, or all groups by the BMS. At a simulated bench the probes go there by themselves;
 * at a real one a person holds them. Nothing is stored. @throws ServiceError, InputError
 */
export async function readBattery(bankId: number, input: ReadBatteryInput): Promise<BatteryReading> {
	const bank = await banks.get(bankId);
	const instrument = await instruments.get(input.instrumentId);
	if (instrument.kind !== 'voltmeter' && instrument.kind !== 'bms')
		throw new InputError([{ path: 'instrumentId', message: 'requires a voltmeter or a BMS' }]);
	if (instrument.bundled !== bank.rehearsal)
		throw new ServiceError(
			422,
			'mixed',
			bank.rehearsal
				? 'This is a rehearsal bank: read it with the bench’s own instruments.'
				: 'The simulated bench measures no real battery: use it in a rehearsal.'
		);
	try {
		if (bank.rehearsal) await reach(bank, instrument, input);
		const { atMs, voltageV, groupV, currentA } = await linkTo(instrument).useNow((driver) => driver.read());
		if (instrument.kind === 'bms' && !groupV?.length)
			throw new ServiceError(409, 'no-groups', 'The BMS reports no groups: is it plugged in?');
		return {
			atMs,
			voltageV: voltageV === null ? null : voltageV + (instrument.kind === 'voltmeter' ? instrument.voltageOffsetV : 0),
			groupsV: groupV,
			currentA
		};
	} catch (error) {
		throw asServiceError(error);
	}
}

async function reach(
	bank: Bank,
	instrument: Instrument,
	{ lead, positive, group, cellId, batteryId }: ReadBatteryInput
): Promise<void> {
	await takeUpRehearsal(bank.id);
	if (instrument.kind === 'bms') return;
	const place =
		lead != null
			? { lead, positive: positive ?? false }
			: cellId != null
				? { cell: await benchCell(await rehearsalOf(bank.id), cellId), turned: await wasReadReversed(cellId) }
				: await groupPlace(bank, group, batteryId);
	await bundledHands().clip('voltmeter', place);
}

/** A group is read at the terminals of its first cell. */
async function groupPlace(
	bank: Bank,
	position: ReadBatteryInput['group'],
	batteryId: ReadBatteryInput['batteryId']
): Promise<Place> {
	if (position === undefined || position === null)
		throw new InputError([{ path: 'lead', message: 'lead, group or cellId is required: where do the probes go?' }]);
	const own = await batteries.all({ bankId: bank.id });
	const battery = own.find((b) => b.id === batteryId) ?? own[0]!;
	const [group] = await groups.all({ batteryId: battery.id, position });
	const [placed] = group ? await placements.all({ groupId: group.id, removedAt: null }) : [];
	if (!placed) throw new ServiceError(409, 'empty-group', `Group ${position} holds no cell.`);
	return { cell: await benchCell(await rehearsalOf(bank.id), placed.cellId) };
}
