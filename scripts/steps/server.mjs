// How the built application is started, for use and for tests.
import { join } from 'node:path';
import { root } from './machine.mjs';

export const serverFile = join(root, 'build', 'index.js');

/** The environment of the built application on a loopback port. */
export function serverEnvironment(databaseUrl, port) {
	return {
		...process.env,
		DATABASE_URL: databaseUrl,
		HOST: '127.0.0.1',
		PORT: String(port),
		ORIGIN: `http://127.0.0.1:${port}`,
		BODY_SIZE_LIMIT: '80M',
		SHUTDOWN_TIMEOUT: '5',
		KIND_EMBER_TOOLS: join(root, 'build-tools'),
		NODE_ENV: 'production'
	};
}
