import { InputError } from '$lib/input/validate';
import { inTransaction } from '../../db/transaction';
import { batteryIn } from '../../bank-picture/battery-in';
import { temporaryParts } from '../../records';
import { recordKind } from '../../records/registry';
import { changeRecord, createRecord } from '../../records/write';

type Fields = Record<string, unknown>;

/** Ticks joints with one torque and date: all or none. @returns how many */
export async function keepTorques(bankId: number, positions: readonly number[], fields: Fields): Promise<number> {
	const { id: batteryId } = await batteryIn(bankId, fields.batteryId);
	if (positions.length === 0)
		throw new InputError([{ path: 'position', message: 'Choose the joints that were tightened.' }]);
	const tightenedAt = fields.tightenedAt ?? new Date().toISOString();
	await inTransaction(async (tx) => {
		for (const position of new Set(positions))
			await createRecord(recordKind('joint-torques'), { ...fields, batteryId, position, tightenedAt }, tx);
	});
	return new Set(positions).size;
}

/** Notes a part that must come out again. */
export async function keepTemporaryPart(bankId: number, fields: Fields): Promise<void> {
	const { id: batteryId } = await batteryIn(bankId, fields.batteryId);
	await createRecord(recordKind('temporary-parts'), { ...fields, batteryId, putInAt: new Date().toISOString() });
}

/** Whole numbers of a list as a person writes it: `3, 4`; null for a blank. @throws InputError */
function positionsOf(text: unknown): number[] | null {
	const parts = String(text ?? '')
		.split(/[\s,;]+/)
		.filter(Boolean);
	if (parts.some((p) => !/^\d+$/.test(p)))
		throw new InputError([{ path: 'positions', message: 'Write the numbers with commas between them, like 3, 4.' }]);
	return parts.length ? parts.map(Number) : null;
}

/** Records what was moved, opened or changed: what was checked with it before is open again. */
export async function keepWork(bankId: number, { positions, ...fields }: Fields): Promise<void> {
	const { id: batteryId } = await batteryIn(bankId, fields.batteryId);
	await createRecord(recordKind('battery-works'), { ...fields, batteryId, positions: positionsOf(positions) });
}

/** A temporary part has come out. */
export async function takeOutPart(bankId: number, { id, version }: Fields): Promise<void> {
	const part = await temporaryParts.get(Number(id));
	await batteryIn(bankId, part.batteryId);
	await changeRecord(recordKind('temporary-parts'), part.id, { version, takenOutAt: new Date().toISOString() });
}

/** Keeps fuse, cable and BMS of a battery. */
export async function keepWiringOf(bankId: number, { batteryId, ...fields }: Fields): Promise<void> {
	const { id } = await batteryIn(bankId, batteryId);
	await changeRecord(recordKind('batteries'), id, fields);
}
