import { benchMeters, type MeterAccuracy, type Quantity } from '$lib/core/reading';
import { DEFAULT_SETTINGS, type Settings } from '$lib/core/units';
import { SettingsInput } from '$lib/input/records';
import { validated } from '$lib/input/validate';
import { settingsRows } from '../db/tables';

const KEYS = Object.keys(DEFAULT_SETTINGS) as (keyof Settings)[];
const pick = (row: Settings) => Object.fromEntries(KEYS.map((key) => [key, row[key]])) as unknown as Settings;

/** The one set of settings; the defaults until somebody chose. */
export async function readSettings(): Promise<Settings> {
	const [row] = await settingsRows.all({});
	return row ? pick(row) : DEFAULT_SETTINGS;
}

/** Changes the settings given and leaves the others. The last choice wins: there is nothing to lose. */
export async function changeSettings(body: unknown): Promise<Settings> {
	const fields = validated(SettingsInput, body, true);
	const [row] = await settingsRows.all({});
	return pick(
		row
			? await settingsRows.update(row.id, row.version, fields)
			: await settingsRows.insert({ ...DEFAULT_SETTINGS, ...fields })
	);
}

/** The meters at the bench as they are described now. */
export async function currentMeters(): Promise<Record<Quantity, MeterAccuracy>> {
	return benchMeters(await readSettings());
}
