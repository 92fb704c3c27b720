/** What a lost or silent database says of itself, by the driver's and the pool's own codes. */
const AWAY = new Set([
	'ECONNREFUSED',
	'ECONNRESET',
	'EPIPE',
	'ETIMEDOUT',
	'PROTOCOL_CONNECTION_LOST',
	'ER_SERVER_SHUTDOWN',
	'ER_NORMAL_SHUTDOWN',
	'ER_CON_COUNT_ERROR'
]);

/** Whether an error says that the database cannot be reached now. */
export function isDatabaseAway(error: unknown): boolean {
	const { code, name, fatal, message } = (error ?? {}) as {
		code?: string;
		name?: string;
		fatal?: boolean;
		message?: string;
	};
	if (name === 'KnexTimeoutError') return true;
	if (fatal && /closed state|Connection lost/i.test(message ?? '')) return true;
	return code !== undefined && AWAY.has(code);
}

export const DATABASE_AWAY =
	'The database is away. It is started again by itself; what you typed is kept here and sent when it is back. Nothing was changed.';
