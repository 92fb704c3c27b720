import { seededRandom } from '$lib/core/foundation/statistics';
import { database } from '$lib/server/db/connection';
import { banks } from '$lib/server/records';
import { FILE_TABLES, OTHER_TABLES, RECORD_KINDS } from '$lib/server/records/registry';
import { loadCogwheel } from './cogwheel';
import { loadDamsonRise } from './damson-rise';
import { loadFenwatch } from './fenwatch';
import { loadHeronry } from './heronry';
import { loadMethods } from './methods';
import { loadStock } from './stock';

const SEED = 20_260_309;
/** Empties every table. */
export async function clearRecords(): Promise<void> {
	// Children before parents, so that no reference is left hanging.
	const own = [...RECORD_KINDS].reverse().map((kind) => kind.repository.table);
	for (const table of [...OTHER_TABLES, ...own, ...FILE_TABLES]) await database()(table).delete();
}

/** Loads the four demo banks, unless there are banks already. @returns whether it loaded */
export async function loadDemo(now: Date, seed = SEED): Promise<boolean> {
	if ((await banks.list({}, { page: 1, size: 1 })).total > 0) return false;
	const random = seededRandom(seed);
	await loadDamsonRise(random, now);
	await loadCogwheel(random, now);
	await loadHeronry(random, now);
	await loadFenwatch(now);
	await loadMethods(now);
	await loadStock(random, now);
	return true;
}
