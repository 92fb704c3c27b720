import { seededRandom } from '$lib/core/shared';
import { database } from '$lib/server/db/connection';
import { banks } from '$lib/server/db/tables';
import { loadCogwheel } from './cogwheel';
import { loadDamsonRise } from './damson-rise';
import { loadHeronry } from './heronry';

const SEED = 20_260_309;
/** Children before parents, so that no reference is left hanging. */
const TABLES = [
	'rehearsals',
	'live_events',
	'live_samples',
	'live_runs',
	'instruments',
	'run_samples',
	'readings',
	'runs',
	'placements',
	'balance_readings',
	'balance_runs',
	'limit_plans',
	'service_checks',
	'capacity_tests',
	'notes',
	'cells',
	'deliveries',
	'banks',
	'cell_types',
	'settings'
];

/** Empties every table. */
export async function clearRecords(): Promise<void> {
	for (const table of TABLES) await database()(table).delete();
}

/** Loads the three demo banks, unless there are banks already. @returns whether it loaded */
export async function loadDemo(now: Date, seed = SEED): Promise<boolean> {
	if ((await banks.list({}, { page: 1, size: 1 })).total > 0) return false;
	const random = seededRandom(seed);
	await loadDamsonRise(random, now);
	await loadCogwheel(random, now);
	await loadHeronry(random, now);
	return true;
}
