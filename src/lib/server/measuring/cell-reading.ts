import { measured } from '../records/readings/measured';
import type { MeasureInput } from '$lib/input/live';
import { InputError } from '$lib/input/validate';
import { cellsInPlay } from '../bank-picture/load';
import { ServiceError } from '../errors';
import { banks, cells, instruments, type Instrument } from '../records';
import { recordKind } from '../records/registry';
import { currentMeters } from '../records/settings/settings';
import { createOnce, recordOfKey, type Written } from '../records/write';
import { asServiceError, bundledHands, linkTo } from '../address-book/instruments';
import { benchCell, rehearsalOf, takeUpRehearsal } from '../rehearsals/bench/bench';

/** How each kind of meter reads a cell: the quantity, its digits, and its unit in the meter's own. */
const METERS = {
	voltmeter: { quantity: 'restVoltage', digits: 4, perUnit: 1 },
	ohmmeter: { quantity: 'acResistance', digits: 3, perUnit: 1000 }
} as const;

/**
 * Reads a cell with a meter of the address book and keeps the reading as if it had been typed, with that meter's doubt. Sent
 * again with the same key it gives the reading that was kept, and measures nothing.
 */
export async function measureCell(bankId: number, input: MeasureInput): Promise<Written> {
	const instrument = await instruments.get(input.instrumentId);
	if (instrument.kind !== 'voltmeter' && instrument.kind !== 'ohmmeter')
		throw new InputError([{ path: 'instrumentId', message: 'requires a voltmeter or a milliohm meter' }]);
	const { quantity, digits, perUnit } = METERS[instrument.kind];
	const known = input.clientKey ? await recordOfKey(recordKind('readings'), input.clientKey) : null;
	if (known) return { record: known, isNew: false };
	await reachCell(bankId, input.cellId, instrument);
	try {
		const reading = await linkTo(instrument).useNow((driver) => driver.read());
		const shown = instrument.kind === 'voltmeter' ? reading.voltageV : reading.resistanceOhm;
		if (shown === null) throw new ServiceError(409, 'open-probes', 'The probes are in the air: put them on the cell.');
		const rawText = (shown * perUnit).toFixed(digits);
		const accuracy = {
			percentOfReading: instrument.accuracyPercent,
			countsValue: instrument.accuracyFixed * perUnit,
			repeatability: (await currentMeters())[quantity].repeatability
		};
		const offset = instrument.kind === 'voltmeter' ? instrument.voltageOffsetV : 0;
		const body = {
			cellId: input.cellId,
			quantity,
			rawText,
			// A simulated meter tells the time of its bench; a real one's clock may be set wrong, and ours orders what is typed.
			takenAt: new Date(instrument.bundled ? reading.atMs : Date.now()).toISOString(),
			meter: instrument.name
		};
		return await createOnce(
			recordKind('readings'),
			input.clientKey ? { ...body, clientKey: input.clientKey } : body,
			() => measured(rawText, quantity, { accuracy, offset })
		);
	} catch (error) {
		throw asServiceError(error);
	}
}

/** A simulated bench's probes go to the cell by themselves; at a real one a person holds them there. */
async function reachCell(bankId: number, cellId: number, instrument: Instrument): Promise<void> {
	const bank = await banks.get(bankId);
	await cells.get(cellId);
	if (!(await cellsInPlay(bankId)).some((c) => c.id === cellId))
		throw new InputError([{ path: 'cellId', message: 'requires a cell of this bank: pick it for the bank first' }]);
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
