import { database } from '../db/connection';

/** Longest the database may take to answer before it is called away, ms. */
const PATIENCE_MS = 2000;

/** Whether the server and its database are well. */
export async function health(): Promise<{ well: boolean; status: string; database: string }> {
	const well = await Promise.race([
		database()
			.raw('select 1')
			.then(
				() => true,
				() => false
			),
		new Promise<false>((done) => setTimeout(() => done(false), PATIENCE_MS).unref())
	]);
	return { well, status: well ? 'ok' : 'degraded', database: well ? 'ok' : 'unreachable' };
}
