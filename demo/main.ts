import '$lib/server/set-up';
import { closeDatabase, migrate } from '$lib/server/db/connection';
import { clearRecords, loadDemo } from './load';

/** `node build-tools/demo.js [--reset]` with DATABASE_URL: loads the demo scenario; `--reset` empties the database first. */
await migrate();
if (process.argv.includes('--reset')) {
	await clearRecords();
	console.log('All records removed.');
}
const loaded = await loadDemo(new Date());
console.log(
	loaded
		? 'Demo scenario loaded: Heronry, Fenwatch, Cogwheel, Damson Rise.'
		: 'There are banks already; kept as they are. "npm run demo -- --reset" starts the scenario afresh.'
);
await closeDatabase();
