import { benchMeters, type MeterAccuracy, type Quantity } from '$lib/core/foundation/reading';
import { DEFAULT_SETTINGS, type Settings } from '$lib/core/foundation/units';
import { validated } from '$lib/input/validate';
import { createRepository } from '../../db/repository';
import { inTransaction } from '../../db/transaction';
import { noteCause } from '../causes';
import type { Stored } from '../kind';
import { SettingsInput } from './input';

export const settingsRows = createRepository<Stored<SettingsInput>>('settings', 'settings', 'id');

const KEYS = Object.keys(DEFAULT_SETTINGS) as (keyof Settings)[];
const METER_KEYS = KEYS.filter((key) => /Meter/.test(key));
const pick = (row: Settings) => Object.fromEntries(KEYS.map((key) => [key, row[key]])) as unknown as Settings;

/** The one set of settings; the defaults until somebody chose. */
export async function readSettings(): Promise<Settings> {
	const [row] = await settingsRows.all({});
	return row ? pick(row) : DEFAULT_SETTINGS;
}

/** Changes the settings given and leaves the others. The last choice wins: there is nothing to lose. */
export async function changeSettings(body: unknown): Promise<Settings> {
	const fields = validated(SettingsInput, body, true);
	return inTransaction(async (tx) => {
		const [row] = await settingsRows.all({}, tx);
		const stored = row
			? await settingsRows
					.hold(row.id, tx, 'update')
					.then(({ id, version }) => settingsRows.update(id, version, fields, tx))
			: await settingsRows.insert({ ...DEFAULT_SETTINGS, ...fields }, tx);
		// Another meter, another doubt of every reading.
		if (METER_KEYS.some((key) => key in fields))
			await noteCause(
				await tx('banks').whereNull('deleted_at').pluck('id'),
				{ kind: 'settings', recordId: null, deed: 'change' },
				tx
			);
		return pick(stored);
	});
}

/** The meters at the bench as they are described now. */
export async function currentMeters(): Promise<Record<Quantity, MeterAccuracy>> {
	return benchMeters(await readSettings());
}
