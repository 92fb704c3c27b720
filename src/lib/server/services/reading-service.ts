import { meterSd, parseReading, type MeterAccuracy } from '$lib/core/reading';
import type { MeasureInput } from '$lib/input/live';
import type { ReadingInput } from '$lib/input/records';
import { InputError } from '$lib/input/validate';
import { banks, cells, deliveries, instruments, readings, type Instrument, type Reading } from '../db/tables';
import { ServiceError } from '../errors';
import { asServiceError, bundledHands, linkTo } from './instrument-service';
import { benchCell, rehearsalOf, takeUpRehearsal } from './rehearsal-bench';
import { currentMeters } from './settings-service';

/** A meter of the address book. */
interface MeterUsed {
	accuracy: MeterAccuracy;
	/** What it shows too much, in the quantity's unit: taken out of the value; the text stays as the meter showed it. */
	offset: number;
}

/**
 * Keeps a reading as it was typed or read, with its value and doubt. Sent twice with one `clientKey` it is kept once.
 * @param meter what it was read with; the meter of the settings when it was typed
 */
export async function storeReading(fields: ReadingInput, meter?: MeterUsed): Promise<Reading> {
	if (fields.clientKey) {
		const [already] = await readings.all({ clientKey: fields.clientKey });
		if (already) return already;
	}
	await cells.get(fields.cellId);
	return readings.insert({
		...fields,
		takenAt: fields.takenAt ?? new Date().toISOString(),
		...(await measured(fields.rawText, fields.quantity, meter))
	});
}

/** What a text means as a reading: value, unit as entered, and one standard deviation by the meter. */
export async function measured(rawText: string, quantity: ReadingInput['quantity'], meter?: MeterUsed) {
	const { value: shown, rawUnit } = parseReading(rawText, quantity);
	const value = shown - (meter?.offset ?? 0);
	const accuracy = meter?.accuracy ?? (await currentMeters())[quantity];
	return { value, rawUnit, rawText: rawText.trim(), sd: meterSd(accuracy, value) };
}

/** How each kind of meter reads a cell: the quantity, its digits, and its unit in the meter's own. */
const METERS = {
	voltmeter: { quantity: 'restVoltage', digits: 4, perUnit: 1 },
	ohmmeter: { quantity: 'acResistance', digits: 3, perUnit: 1000 }
} as const;

/** Reads a cell with a meter of the address book and keeps the reading as if it had been typed, with that meter's doubt. */
export async function measureCell(bankId: number, input: MeasureInput): Promise<Reading> {
	const instrument = await instruments.get(input.instrumentId);
	if (instrument.kind !== 'voltmeter' && instrument.kind !== 'ohmmeter')
		throw new InputError([{ path: 'instrumentId', message: 'requires a voltmeter or a milliohm meter' }]);
	const { quantity, digits, perUnit } = METERS[instrument.kind];
	await reachCell(bankId, input.cellId, instrument);
	try {
		const reading = await linkTo(instrument).useNow((driver) => driver.read());
		const shown = instrument.kind === 'voltmeter' ? reading.voltageV : reading.resistanceOhm;
		if (shown === null) throw new ServiceError(409, 'open-probes', 'The probes are in the air: put them on the cell.');
		return await storeReading(
			{
				cellId: input.cellId,
				quantity,
				rawText: (shown * perUnit).toFixed(digits),
				takenAt: new Date(reading.atMs).toISOString(),
				meter: instrument.name,
				clientKey: input.clientKey
			},
			{
				accuracy: {
					percentOfReading: instrument.accuracyPercent,
					countsValue: instrument.accuracyFixed * perUnit,
					repeatability: (await currentMeters())[quantity].repeatability
				},
				offset: instrument.kind === 'voltmeter' ? instrument.voltageOffsetV : 0
			}
		);
	} catch (error) {
		throw asServiceError(error);
	}
}

/** A simulated bench's probes go to the cell by themselves; at a real one a person holds them there. */
async function reachCell(bankId: number, cellId: number, instrument: Instrument): Promise<void> {
	const bank = await banks.get(bankId);
	const delivery = await deliveries.get((await cells.get(cellId)).deliveryId);
	if (delivery.bankId !== bankId)
		throw new InputError([{ path: 'cellId', message: 'requires a cell that was received for this bank' }]);
	if (instrument.bundled !== bank.rehearsal)
		throw new ServiceError(
			422,
			'mixed',
			bank.rehearsal
				? 'This is a rehearsal bank: read its cells with the bench’s meters.'
				: 'The simulated bench measures no real cell: use it in a rehearsal.'
		);
	if (!bank.rehearsal) return;
	const rehearsal = await rehearsalOf(bankId);
	await takeUpRehearsal(bankId);
	try {
		await bundledHands().clip(instrument.kind as 'voltmeter' | 'ohmmeter', {
			cell: await benchCell(rehearsal, cellId)
		});
	} catch (error) {
		throw asServiceError(error);
	}
}
