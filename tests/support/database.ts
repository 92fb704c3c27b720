import knexFactory from 'knex';
import { migrate, openDatabase, useDatabase } from '$lib/server/db/connection';
import type { Knex } from 'knex';

/** Opens the test run's MariaDB on an empty database of its own, migrated. `TEST_DATABASE_URL` comes from the test script. */
export async function freshDatabase(name: string): Promise<Knex> {
	const url = process.env.TEST_DATABASE_URL;
	if (!url) throw new Error('TEST_DATABASE_URL is not set: run the tests with `npm test`, or `npm test -- --only db`.');
	const database = `kind_ember_${name}`;
	const admin = knexFactory({ client: 'mysql2', connection: url });
	await admin.raw('drop database if exists ??', [database]);
	await admin.raw('create database ?? character set utf8mb4', [database]);
	await admin.destroy();
	const own = new URL(url);
	own.pathname = `/${database}`;
	const pool = openDatabase(own.toString());
	await migrate(pool);
	useDatabase(pool);
	return pool;
}
